import clsx from 'clsx';
import type { Schemas } from '../../lib/api';
import { day, quantity } from '../../lib/format';
import { useWindow } from '../../lib/useWindow';
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
  not_modelled: 'Not modelled',
  phantom: 'Phantom',
  first_day: 'First day',
  last_day: 'Last day',
};
const ROW = 48;

/** The lines that differ: where they stand, what they were, what they are. */
export function CompareTable({ rows, same }: { rows: Row[]; same: boolean }) {
  const { scroller, first, end } = useWindow(rows.length, ROW);
  if (rows.length === 0) {
    return (
      <p className="border-y border-rule py-3 text-soft">
        {same ? 'No differences.' : 'No differences of these kinds.'}
      </p>
    );
  }
  return (
    <div
      ref={scroller}
      // A part of the page that scrolls is reached by keyboard.
      // eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex
      tabIndex={0}
      role="region"
      aria-label="Differences"
      className="max-h-[calc(100vh-9rem)] overflow-auto border-y border-strong bg-sheet print:max-h-none"
    >
      <table aria-label="Differences" aria-rowcount={rows.length + 1} className="w-full border-collapse">
        <thead>
          <tr className="sticky top-0 z-10 bg-sheet text-left text-sm text-soft shadow-[inset_0_-1px_var(--rule-strong)]">
            <th className="py-1 pl-2 font-medium">Difference</th>
            <th className="px-2 py-1 font-medium">Position</th>
            <th className="px-2 py-1 font-medium">Find</th>
            <th className="px-2 py-1 font-medium">Before</th>
            <th className="px-2 py-1 font-medium">After</th>
          </tr>
        </thead>
        <tbody>
          {first > 0 && <tr aria-hidden style={{ height: first * ROW }} />}
          {rows.slice(first, end).map((row, offset) => (
            <tr
              key={first + offset}
              aria-rowindex={first + offset + 2}
              style={{ height: ROW }}
              className={clsx('border-b border-rule', `mark-${row.kind}`)}
            >
              <td className="pl-2 whitespace-nowrap">
                <Mark value={row.kind} word />
              </td>
              <td className="max-w-72 truncate px-2 text-sm" title={[...row.way, row.parent_after].join(' › ')}>
                {row.way.length > 0 && <span className="text-soft">{row.way.join(' › ')} › </span>}
                <ItemNumber number={row.parent_after} />
                {row.parent_before !== row.parent_after && (
                  <span className="text-soft">
                    {row.kind === 'moved' ? ' from ' : ' for '}
                    {row.parent_before}
                  </span>
                )}
              </td>
              <td className="px-2">{row.find}</td>
              <td className="px-2">
                <Side row={row} line={row.before} item={row.was_item} other={row.after} />
              </td>
              <td className="px-2">
                <Side row={row} line={row.after} item={row.item} other={row.before} />
              </td>
            </tr>
          ))}
          {end < rows.length && <tr aria-hidden style={{ height: (rows.length - end) * ROW }} />}
        </tbody>
      </table>
    </div>
  );
}

interface SideProps {
  row: Row;
  line: Line | null;
  item: Schemas['ItemRow'] | null;
  other: Line | null;
}

/** A line on one side: the component, and the fields that differ; all of it when there is no other line. */
function Side({ row, line, item, other }: SideProps) {
  if (!line) return <span className="text-soft">—</span>;
  const fields = other ? row.fields.filter((field) => field !== 'component') : ['quantity'];
  return (
    <span className="block max-w-96 truncate">
      <span className={clsx(row.fields.includes('component') && 'font-semibold')}>
        <span className="font-mono text-[0.84rem]">{line.component}</span> {item?.title}
      </span>
      <span className="block truncate text-sm">
        {fields.map((field) => (
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
    case 'not_modelled':
      return line.not_modelled ? 'yes' : 'no';
    case 'phantom':
      return line.phantom ? 'yes' : 'no';
    case 'first_day':
      return day(line.first_day) || 'open';
    case 'last_day':
      return day(line.last_day) || 'open';
    default:
      return '';
  }
}
