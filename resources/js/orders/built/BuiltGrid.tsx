import { useMemo, useState } from 'react';
import { ProblemNotice } from '../../ui/Notice';
import { RedlineGrid, type Bands } from '../RedlineGrid';
import { plantFields } from '../redlineFields';
import type { LineEdit, RedlineRow } from '../useRedline';
import { OperationBand } from './OperationBand';
import { OperationForm } from './OperationForm';
import type { BuiltRedline, OperationRow, useBuilt } from './useBuilt';

interface Props {
  redline: BuiltRedline;
  acts: ReturnType<typeof useBuilt>;
  only: boolean;
  wide: boolean;
  onAdd?: () => void;
  /** Engineering lines are dropped on an operation. */
  onDrop?: (operation: string, lines: string[]) => void;
  onMarked?: (row: RedlineRow | null) => void;
}

/** What is at no operation comes last. */
const LAST = Infinity;

const at = (row: RedlineRow) => (row.after ?? row.before)?.operation ?? LAST;
const find = (row: RedlineRow) => (row.after ?? row.before)?.find ?? 0;
const numberOf = (row: OperationRow) => (row.after ?? row.before)?.number ?? LAST;

/** Operations as bands of the table, each over the lines that are consumed at it. */
export function BuiltGrid({ redline, acts, only, wide, onAdd, onDrop, onMarked }: Props) {
  const [editing, setEditing] = useState<string | null>(null);
  const rows = useMemo(() => [...redline.rows].sort((a, b) => at(a) - at(b) || find(a) - find(b)), [redline.rows]);
  const operations = redline.operations;
  const numbers = operations.flatMap(({ after }) => after?.number ?? []);
  const { route } = acts;

  const band = (row: OperationRow, width: number) =>
    editing === row.key && row.after !== null ? (
      <tr key={`form ${row.key}`}>
        <td colSpan={width}>
          <OperationForm
            operation={row.after}
            next={0}
            centres={redline.work_centres}
            route={route}
            onDone={() => {
              route.reset();
              setEditing(null);
            }}
          />
        </td>
      </tr>
    ) : (
      <OperationBand
        key={row.key}
        row={row}
        width={width}
        mayEdit={redline.may_edit}
        onEdit={() => {
          route.reset();
          setEditing(row.key);
        }}
        {...(onDrop && redline.may_edit && { onDrop })}
        onRemove={() => route.mutate({ edit: 'remove_operation', part: row.key, fields: {} })}
      />
    );
  /** Those that begin after one number, up to another. */
  const between = (from: number, to: number, width: number) =>
    operations
      .filter((row) => numberOf(row) > from && numberOf(row) <= to)
      .filter((row) => !only || row.mark !== 'unchanged' || numberOf(row) === to)
      .map((row) => band(row, width));
  const bands: Bands = {
    before: (row, above, width) => (
      <>
        {between(above === undefined ? 0 : at(above), at(row), width)}
        {at(row) === LAST && (above === undefined || at(above) !== LAST) && (
          <tr className="border-y border-strong bg-paper">
            <td />
            <td colSpan={width - 1} className="px-2 py-1 font-semibold">
              At no operation
            </td>
          </tr>
        )}
      </>
    ),
    after: (last, width) => between(last === undefined ? 0 : at(last), LAST, width),
  };
  /** To the operation above or below, if there is one. */
  const moved = (row: RedlineRow, by: -1 | 1): LineEdit | null => {
    const now = row.after?.operation ?? null;
    const next =
      now === null
        ? numbers.at(by === 1 ? 0 : -1)
        : by === 1
          ? numbers.find((one) => one > now)
          : numbers.findLast((one) => one < now);
    return next === undefined ? null : { operation: 'change', line: row.key, fields: { operation: String(next) } };
  };

  return (
    <>
      {editing === null && route.error && route.variables.edit === 'remove_operation' && (
        <ProblemNotice problem={route.error} />
      )}
      <RedlineGrid
        of="built"
        name={`${redline.item.number}-at-${redline.plant}`}
        rows={rows}
        fields={plantFields}
        mayEdit={redline.may_edit}
        edit={acts.edit}
        several={acts.several}
        only={only}
        wide={wide}
        bands={bands}
        {...(onAdd && { onAdd })}
        {...(onMarked && { onMarked })}
        moved={moved}
      />
    </>
  );
}
