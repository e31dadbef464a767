import { Link } from 'react-router';
import { placeOf } from '../lib/places';

/** The number of an item, a report, a request or an order, as a link to its page. */
export function ItemNumber({ number }: { number: string }) {
  return (
    <Link to={`/items/${number}`} className="font-mono text-[0.84rem] text-accent underline-offset-3 hover:underline">
      {number}
    </Link>
  );
}

export function ChangeNumber({ number }: { number: string }) {
  return (
    <Link
      to={placeOf(number)}
      className="font-mono text-[0.84rem] whitespace-nowrap text-accent underline-offset-3 hover:underline"
    >
      {number}
    </Link>
  );
}
