import clsx from 'clsx';
import { useState, type ReactNode } from 'react';
import { quantity } from '../../lib/format';
import { Button } from '../../ui/Button';
import { ItemNumber } from '../../ui/Num';
import { Mark } from '../../ui/Mark';
import { carried, isCarried } from './engineeringDrag';
import { operationHeads, sides, type OperationField } from './operationFields';
import type { OperationRow } from './useBuilt';

interface Props {
  row: OperationRow;
  width: number;
  mayEdit: boolean;
  onEdit: () => void;
  onRemove: () => void;
  onDrop?: (operation: string, lines: string[]) => void;
}

/** An operation as a row of the table, over the lines that are consumed at it: what it was struck out beside what it will be. */
export function OperationBand({ row, width, mayEdit, onEdit, onRemove, onDrop }: Props) {
  const [over, setOver] = useState(false);
  const now = row.after ?? row.before;
  if (now === null) return null;
  const value = (field: OperationField, write: (text: string) => ReactNode = (text) => text) => (
    <Value row={row} field={field} write={write} />
  );
  const numbers = (text: string) =>
    text.split(', ').map((number, at) => (
      <span key={number}>
        {at > 0 && ', '}
        <ItemNumber number={number} />
      </span>
    ));
  const differs = (...fields: OperationField[]) =>
    fields.some((field) => sides(row, field).before || sides(row, field).after);
  return (
    <tr
      className={clsx(
        'border-y border-strong align-baseline',
        over ? 'bg-accent-soft outline outline-accent' : 'bg-paper',
        `mark-${row.mark}`,
      )}
      data-operation={now.number}
      onDragOver={(event) => {
        if (onDrop === undefined || row.after === null || !isCarried(event.dataTransfer)) return;
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={(event) => {
        event.preventDefault();
        setOver(false);
        onDrop?.(String(now.number), carried(event.dataTransfer));
      }}
    >
      <td className="py-1 pl-2">
        <Mark value={row.mark} />
      </td>
      <td colSpan={width - 1} className="px-2 py-1">
        <div className="flex flex-wrap items-baseline gap-x-4">
          <b className="font-semibold">
            {value('number')} {value('title')}
          </b>
          {differs('supplier') ? (
            <>
              <span>outside at {value('supplier')}</span>
              <Said label="Cost a unit">{differs('cost') ? value('cost') : 'not known'}</Said>
              <Said label="Days">{differs('lead_time') ? value('lead_time') : 'not known'}</Said>
            </>
          ) : (
            <>
              <span>{value('work_centre')}</span>
              <Said label="Set-up">
                {value('set_up', quantity)} <span className="text-soft">min</span>
              </Said>
              <Said label="Run">
                {value('run', quantity)} <span className="text-soft">min a {value('per')}</span>
              </Said>
            </>
          )}
          {differs('instruction') && <Said label={operationHeads.instruction}>{value('instruction', numbers)}</Said>}
          {differs('tools') && <Said label={operationHeads.tools}>{value('tools', numbers)}</Said>}
          {differs('inspection', 'specification') && (
            <Said label={operationHeads.inspection}>
              {value('inspection')} {value('specification', numbers)}
            </Said>
          )}
          {mayEdit && row.after !== null && (
            <span className="no-print ml-auto">
              <Button look="quiet" className="!h-6" aria-label={`Edit operation ${now.number}`} onClick={onEdit}>
                Edit
              </Button>
              <Button look="quiet" className="!h-6" aria-label={`Remove operation ${now.number}`} onClick={onRemove}>
                Remove
              </Button>
            </span>
          )}
        </div>
      </td>
    </tr>
  );
}

function Said({ label, children }: { label: string; children: ReactNode }) {
  return (
    <span>
      <span className="text-sm text-soft">{label}</span> {children}
    </span>
  );
}

function Value({
  row,
  field,
  write,
}: {
  row: OperationRow;
  field: OperationField;
  write: (text: string) => ReactNode;
}) {
  const { before, after } = sides(row, field);
  if (after === null) return before === '' ? null : <del className="text-alarm">{write(before ?? '')}</del>;
  if (before === null || before === after) return after === '' ? null : <>{write(after)}</>;
  return (
    <>
      {before !== '' && <del className="mr-1 text-soft">{write(before)}</del>}
      <ins className="font-semibold no-underline">{after === '' ? 'none' : write(after)}</ins>
    </>
  );
}
