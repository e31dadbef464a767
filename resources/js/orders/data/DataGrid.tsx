import { useState } from 'react';
import { fieldText, fieldUnit, type FieldRow } from '../../structures/itemFields';
import { DataTable, type Column } from '../../ui/DataTable';
import { Mark } from '../../ui/Mark';
import { Notice } from '../../ui/Notice';
import { FieldInput } from './FieldInput';
import { FieldValue } from './FieldValue';
import type { DataRedline, useItemData } from './useItemData';

interface Props {
  redline: DataRedline;
  /** Null: it is only read. */
  set: ReturnType<typeof useItemData>['set'] | null;
  only: boolean;
}

/** The fields of an item, before and after in one table; edited in their place. */
export function DataGrid({ redline, set, only }: Props) {
  const [tooMany, setTooMany] = useState('');
  const shown = redline.rows.filter(({ mark }) => !only || mark !== 'unchanged');
  const block = (from: FieldRow, values: string[]) => {
    const rows = shown.slice(shown.indexOf(from), shown.indexOf(from) + values.length);
    if (rows.length < values.length) {
      setTooMany(
        `${values.length} values were pasted and ${rows.length} fields are left from here. Nothing was saved.`,
      );
      return;
    }
    setTooMany('');
    const differ = rows
      .map(({ key, after }, at): [string, string, string] => [key, after, (values[at] ?? '').trim()])
      .filter(([, after, value]) => after !== value);
    if (differ.length > 0) set?.mutate(Object.fromEntries(differ.map(([key, , value]) => [key, value])));
  };
  return (
    <div className="space-y-2">
      {tooMany !== '' && <Notice look="alarm">{tooMany}</Notice>}
      <DataTable
        label={`Data of ${redline.item.number} before and after`}
        exportName={`data-of-${redline.item.number}`}
        rows={shown}
        keyOf={({ key }) => key}
        columns={columns(redline, set, block)}
        rowClass={({ mark }) => `mark-${mark}`}
        rowHeight={null}
        fixedOrder
        empty="No field differs."
      />
    </div>
  );
}

function columns(
  { item, currency }: DataRedline,
  set: Props['set'],
  block: (from: FieldRow, values: string[]) => void,
): Column<FieldRow>[] {
  return [
    {
      id: 'mark',
      head: 'Difference',
      text: ({ mark }) => (mark === 'unchanged' ? '' : mark),
      cell: ({ mark }) => (mark === 'unchanged' ? '' : <Mark value={mark} word />),
    },
    { id: 'field', head: 'Field', text: ({ label }) => label, cell: ({ label }) => label },
    {
      id: 'before',
      head: 'Before',
      text: ({ field, before }) => fieldText(field, before),
      cell: ({ field, before }) => fieldText(field, before) || <span className="text-soft">not known</span>,
    },
    {
      id: 'after',
      head: 'After',
      className: 'w-80',
      text: ({ field, after }) => fieldText(field, after),
      cell: (row) =>
        set === null ? (
          <FieldValue row={row} />
        ) : (
          <FieldInput
            row={row}
            error={set.error?.at(row.key)}
            onSet={(value) => set.mutate({ [row.key]: value })}
            onBlock={(values) => block(row, values)}
          />
        ),
    },
    {
      id: 'unit',
      head: 'Unit',
      text: ({ field }) => fieldUnit(field, item.unit, currency),
      cell: ({ field }) => fieldUnit(field, item.unit, currency),
    },
  ];
}
