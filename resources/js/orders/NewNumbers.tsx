import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { queries } from '../lib/queries';
import { Button } from '../ui/Button';
import { ItemNumber } from '../ui/Num';

interface Props {
  order: string;
  /** Whether occurrences can be replaced under the order now. */
  open: boolean;
  onTakeBack?: (successor: string) => void;
}

/** Items that got a new number under the order, each with the way to its occurrences. */
export function NewNumbers({ order, open, onTakeBack }: Props) {
  const given = useQuery(queries.newNumbers(order));
  return given.data && given.data.length > 0 ? (
    <ul aria-label="New numbers" className="border-y border-rule bg-sheet">
      {given.data.map((row) => (
        <li
          key={row.successor}
          className="flex flex-wrap items-center gap-x-4 border-t border-rule px-2 py-1 first:border-t-0"
        >
          <span className="grow">
            <ItemNumber number={row.successor} /> {row.successor_title} succeeds <ItemNumber number={row.item} />,{' '}
            {row.interchangeable ? 'interchangeable' : 'not interchangeable'}
          </span>
          {open && row.kind !== 'Drawing' && (
            <Link
              to={`/orders/${order}/replace?old=${row.item}&new=${row.successor}`}
              className="text-accent underline-offset-3 hover:underline"
            >
              Put it where {row.item} is used
            </Link>
          )}
          {onTakeBack && (
            <Button
              look="quiet"
              className="px-0"
              aria-label={`Take back ${row.successor}`}
              onClick={() => onTakeBack(row.successor)}
            >
              Take back
            </Button>
          )}
        </li>
      ))}
    </ul>
  ) : null;
}
