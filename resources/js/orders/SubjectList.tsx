import { useQuery } from '@tanstack/react-query';
import clsx from 'clsx';
import { Link } from 'react-router';
import type { Schemas } from '../lib/api';
import { queries } from '../lib/queries';
import { outcomes } from '../lib/words';
import { ItemNumber } from '../ui/Num';

const link = 'w-36 text-right text-accent underline-offset-3 hover:underline';

/** The items whose structures or data change under an order, or as a request proposes, each with the way to its lines. */
export function SubjectList({ of, items, mine }: { of: string; items: Schemas['OrderItemData'][]; mine: boolean }) {
  const data = useQuery(queries.dataOfOrder(of));
  const fieldsOf = (item: string) => {
    const rows = data.data?.find((one) => one.item.number === item)?.rows ?? [];
    const differ = rows.filter(({ mark }) => mark !== 'unchanged').length;
    return differ === 0 ? 'unchanged' : `${differ} ${differ === 1 ? 'field differs' : 'fields differ'}`;
  };
  return (
    <ul className="border-y border-strong bg-sheet">
      {items
        .filter((row) => row.outcome !== 'keep')
        .map((row) => (
          <li key={row.item.number} className="flex items-center gap-3 border-t border-rule px-2 py-1 first:border-t-0">
            <ItemNumber number={row.item.number} />
            <span className="grow">{row.item.title}</span>
            {row.outcome === 'revise' ? (
              <>
                <span>
                  {row.base ?? 'first release'} → <b className="font-semibold">{row.becomes ?? '?'}</b>
                </span>
                <span className="w-32 text-right text-soft">
                  {row.changes === 1 ? '1 line differs' : `${row.changes} lines differ`}
                </span>
                <Link to={`/orders/${of}/revise/${row.item.number}`} className={link}>
                  {mine ? 'Revise' : 'Before and after'}
                </Link>
              </>
            ) : (
              <span className="text-soft">{outcomes[row.outcome]}</span>
            )}
            <Link
              to={`/orders/${of}/data/${row.item.number}`}
              aria-label={`Item data, ${fieldsOf(row.item.number)}, of ${row.item.number}`}
              className={clsx(link, '!w-48')}
            >
              Item data, {fieldsOf(row.item.number)}
            </Link>
          </li>
        ))}
    </ul>
  );
}
