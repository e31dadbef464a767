import clsx from 'clsx';
import type { Schemas } from '../lib/api';
import { usedQuantity } from '../lib/format';
import { ItemNumber } from '../ui/Num';
import { TableExport } from '../ui/TableExport';

interface Props {
  rows: Schemas['UsedInRow'][];
  /** The item whose uses these are. */
  number: string;
}

const told = [
  { head: 'Level', text: (row: Schemas['UsedInRow']) => String(row.level), numeric: true },
  { head: 'Used in', text: (row: Schemas['UsedInRow']) => row.item.number },
  { head: 'Title', text: (row: Schemas['UsedInRow']) => row.item.title },
  { head: 'Revision', text: (row: Schemas['UsedInRow']) => row.revision ?? '' },
  { head: 'Sold', text: (row: Schemas['UsedInRow']) => (row.item.sold ? 'yes' : '') },
  { head: 'Through', text: (row: Schemas['UsedInRow']) => row.through.join(', ') },
  { head: 'Qty per assembly', text: (row: Schemas['UsedInRow']) => row.quantity, numeric: true },
  { head: 'Unit', text: (row: Schemas['UsedInRow']) => row.unit },
];

/** The items above one item: the level, the item, through what it comes there, and how much goes into one. */
export function UsedInTable({ rows, number }: Props) {
  if (rows.length === 0)
    return <p className="border-y border-rule py-2 text-soft">Nothing uses {number} on that day.</p>;
  return (
    <div>
      <table
        aria-label={`Where ${number} is used`}
        className="w-full border-collapse border-y border-strong bg-sheet text-sm"
      >
        <thead>
          <tr className="border-b border-strong text-left text-soft">
            <th className="px-1.5 py-1 font-medium">Level</th>
            <th className="px-1.5 py-1 font-medium">Used in</th>
            <th className="px-1.5 py-1 text-right font-medium whitespace-nowrap">Qty per assembly</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row, index) => (
            <tr
              key={`${row.item.number} ${row.revision}`}
              className={clsx(
                'align-baseline',
                index > 0 && rows[index - 1]?.level !== row.level ? 'border-t border-strong' : 'border-t border-rule',
                row.item.sold && 'bg-accent-soft',
              )}
            >
              <td className="px-1.5 py-1">
                {rows[index - 1]?.level === row.level ? <span className="sr-only">{row.level}</span> : row.level}
              </td>
              <td className="px-1.5 py-1">
                <ItemNumber number={row.item.number} /> {row.item.title}
                {row.revision !== null && `, revision ${row.revision}`}
                {row.item.sold && <b className="font-semibold text-accent"> · sold</b>}
                {row.level > 1 && <span className="block text-soft">through {row.through.join(', ')}</span>}
              </td>
              <td className="px-1.5 py-1 text-right whitespace-nowrap">
                {usedQuantity(row.quantity)} {row.unit}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <div className="pt-0.5 text-right text-sm">
        <TableExport name={`where-${number}-is-used`} columns={told} rows={() => Promise.resolve(rows)} />
      </div>
    </div>
  );
}
