import clsx from 'clsx';
import { useMemo } from 'react';
import type { Schemas } from '../../lib/api';
import { day, quantity } from '../../lib/format';
import { DataTable, type Column } from '../../ui/DataTable';
import { Mark } from '../../ui/Mark';
import { ItemNumber } from '../../ui/Num';

type Row = Schemas['CompareRow'];
type Line = Schemas['LineRow'];

const heads: Record<string, string> = {
  find: 'Find',
  quantity: 'Quantity',
  unit: 'Unit',
  revision: 'Fixed revision',
  designators: 'Designators',
  notes: 'Notes',
  operation: 'Operation',
  scrap: 'Scrap, %',
  takes_over: 'Takes over',
  not_modelled: 'Not modelled',
  phantom: 'Phantom',
  by_product: 'By-product',
  first_day: 'First day',
  last_day: 'Last day',
};

const words = (row: Row, line: Line | null, item: Schemas['ItemRow'] | null, other: Line | null) =>
  line === null
    ? ''
    : [
        `${line.component} ${item?.title ?? ''}`.trim(),
        ...fieldsOf(row, other).map((field) => `${heads[field]} ${value(line, field)}`),
      ].join(', ');

const columns: Column<Row>[] = [
  {
    id: 'difference',
    head: 'Difference',
    text: (row) => row.kind,
    className: 'whitespace-nowrap',
    cell: (row) => <Mark value={row.kind} word />,
  },
  {
    id: 'position',
    head: 'Position',
    text: (row) => [...row.way, row.parent_after].join(' › '),
    className: 'max-w-72',
    cell: (row) => (
      <span className="text-sm" title={[...row.way, row.parent_after].join(' › ')}>
        {row.way.length > 0 && <span className="text-soft">{row.way.join(' › ')} › </span>}
        <ItemNumber number={row.parent_after} />
        {row.parent_before !== row.parent_after && (
          <span className="text-soft">
            {row.kind === 'moved' ? ' from ' : ' for '}
            {row.parent_before}
          </span>
        )}
      </span>
    ),
  },
  { id: 'find', head: 'Find', text: (row) => String(row.find), cell: (row) => row.find },
  {
    id: 'before',
    head: 'Before',
    text: (row) => words(row, row.before, row.was_item, row.after),
    cell: (row) => <Side row={row} line={row.before} item={row.was_item} other={row.after} />,
  },
  {
    id: 'after',
    head: 'After',
    text: (row) => words(row, row.after, row.item, row.before),
    cell: (row) => <Side row={row} line={row.after} item={row.item} other={row.before} />,
  },
];

/** The lines that differ: where they stand, what they were, what they are. */
export function CompareTable({ rows, same }: { rows: Row[]; same: boolean }) {
  const places = useMemo(() => new Map(rows.map((row, at) => [row, String(at)])), [rows]);
  return (
    <DataTable
      label="Differences"
      exportName="differences"
      rows={rows}
      columns={columns}
      keyOf={(row) => places.get(row) ?? ''}
      rowClass={(row) => `mark-${row.kind}`}
      rowHeight={48}
      empty={same ? 'No differences.' : 'No differences of these kinds.'}
    />
  );
}

/** A line that has one on the other side says what differs; one that came or went, how much there is of it. */
const fieldsOf = (row: Row, other: Line | null): string[] =>
  other ? row.fields.filter((field) => field !== 'component') : ['quantity'];

interface SideProps {
  row: Row;
  line: Line | null;
  item: Schemas['ItemRow'] | null;
  other: Line | null;
}

/** A line on one side: the component, and the fields that differ; all of it when there is no other line. */
function Side({ row, line, item, other }: SideProps) {
  if (!line) return <span className="text-soft">—</span>;
  return (
    <span className="block max-w-96 truncate">
      <span className={clsx(row.fields.includes('component') && 'font-semibold')}>
        <span className="font-mono text-[0.84rem]">{line.component}</span> {item?.title}
      </span>
      <span className="block truncate text-sm">
        {fieldsOf(row, other).map((field) => (
          <span key={field} className="mr-3">
            <span className="text-soft">{heads[field]}</span> {value(line, field)}
          </span>
        ))}
      </span>
    </span>
  );
}

function value(line: Line, field: string): string {
  switch (field) {
    case 'quantity':
      return `${quantity(line.quantity)} ${line.unit}`;
    case 'unit':
      return line.unit;
    case 'find':
      return String(line.find);
    case 'revision':
      return line.revision ?? 'none';
    case 'designators':
      return line.designators || 'none';
    case 'notes':
      return line.notes || 'none';
    case 'operation':
      return String(line.operation ?? 'none');
    case 'scrap':
      return line.scrap || 'none';
    case 'takes_over':
      return line.takes_over === null ? 'not said' : 'said';
    case 'not_modelled':
      return line.not_modelled ? 'yes' : 'no';
    case 'phantom':
      return line.phantom ? 'yes' : 'no';
    case 'by_product':
      return line.by_product ? 'yes' : 'no';
    case 'first_day':
      return day(line.first_day) || 'open';
    case 'last_day':
      return day(line.last_day) || 'open';
    default:
      return '';
  }
}
