import clsx from 'clsx';
import { useState } from 'react';
import { Mark } from '../ui/Mark';
import { RedlineCell } from './RedlineCell';
import { fields, heads } from './redlineFields';
import type { Redline } from './useRedline';

const still = () => undefined;

/** What was and what will be, to be read: first what differs; all lines on demand. */
export function ReviewTable({ redline }: { redline: Redline }) {
  const [all, setAll] = useState(false);
  const rows = all ? redline.rows : redline.rows.filter((row) => row.mark !== 'unchanged');
  const rest = redline.rows.length - redline.rows.filter((row) => row.mark !== 'unchanged').length;
  return (
    <>
      <table
        aria-label={`Before and after of ${redline.item.number}`}
        className="w-full border-collapse border-y border-strong bg-sheet"
      >
        <thead>
          <tr className="border-b border-strong text-left text-sm text-soft">
            <th className="w-28 py-1 pl-2 font-medium">Difference</th>
            {fields.map((field) => (
              <th key={field} className={clsx('px-2 py-1 font-medium', field === 'quantity' && 'text-right')}>
                {heads[field]}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={row.key} className={clsx('border-b border-rule align-baseline', `mark-${row.mark}`)}>
              <td className="py-1 pl-2">
                <Mark value={row.mark} word />
              </td>
              {fields.map((field) => (
                <RedlineCell
                  key={field}
                  row={row}
                  field={field}
                  place=""
                  current={false}
                  editing={false}
                  invalid={false}
                  onFocus={still}
                  onKey={still}
                  onEdit={still}
                  onCommit={still}
                  onCancel={still}
                />
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      <button
        type="button"
        aria-expanded={all}
        className="no-print mt-1 text-sm text-accent hover:underline"
        onClick={() => setAll(!all)}
      >
        {all ? 'Show differences only' : `Show the ${rest} unchanged lines`}
      </button>
    </>
  );
}
