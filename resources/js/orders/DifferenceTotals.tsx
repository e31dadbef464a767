import { marks } from '../lib/words';
import { Mark } from '../ui/Mark';
import type { RedlineRow } from './useRedline';

/** How many lines were added, removed, replaced, changed, renumbered. */
export function DifferenceTotals({ rows }: { rows: Pick<RedlineRow, 'mark'>[] }) {
  const kinds = (Object.keys(marks) as (keyof typeof marks)[]).filter((kind) => kind !== 'unchanged');
  const counted = kinds.map((kind) => ({ kind, count: rows.filter((row) => row.mark === kind).length }));
  const some = counted.filter(({ count }) => count > 0);
  return (
    <span className="flex gap-4" aria-label="Totals">
      {some.length === 0 && <span className="text-soft">No differences</span>}
      {some.map(({ kind, count }) => (
        <span key={kind} className="flex items-baseline gap-1">
          <Mark value={kind} word /> {count}
        </span>
      ))}
    </span>
  );
}
