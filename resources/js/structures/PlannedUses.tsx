import { useQuery } from '@tanstack/react-query';
import { day } from '../lib/format';
import { queries } from '../lib/queries';
import { Mark } from '../ui/Mark';
import { ChangeNumber, ItemNumber } from '../ui/Num';

/** Planned by open orders to the uses of an item. */
export function PlannedUses({ number }: { number: string }) {
  const planned = useQuery(queries.plannedUses(number));
  if ((planned.data ?? []).length === 0) return null;
  return (
    <ul aria-label="Planned by open orders" className="mt-2 border-y border-rule bg-sheet text-sm">
      {(planned.data ?? []).map((one) => (
        <li
          key={`${one.order} ${one.item.number} ${one.what}`}
          className={`border-b border-rule px-2 py-1 last:border-b-0 ${one.what === 'adds' ? 'mark-added' : 'mark-removed'}`}
        >
          <Mark value={one.what === 'adds' ? 'added' : 'removed'} /> <ChangeNumber number={one.order} /> would{' '}
          {one.what === 'adds' ? 'add it to' : 'remove it from'} <ItemNumber number={one.item.number} />{' '}
          {one.item.title}
          {one.effective_on && `, from ${day(one.effective_on)}`}
        </li>
      ))}
    </ul>
  );
}
