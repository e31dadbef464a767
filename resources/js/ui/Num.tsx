import { Link } from 'react-router';
import { placeOf } from '../lib/places';

/** Padded to 24 pixels, which moves nothing: what one presses is that high. */
const shape = 'py-[2.5px] font-mono text-[0.84rem] whitespace-nowrap text-accent underline-offset-3 hover:underline';

/** The number of an item, a report, a request or an order, as a link to its page. */
export function ItemNumber({ number }: { number: string }) {
  return (
    <Link to={`/items/${number}`} className={shape}>
      {number}
    </Link>
  );
}

/** The same where there are hundreds in sight, within something that follows plain links (useFollow). */
export function PlainItemNumber({ number }: { number: string }) {
  return (
    <a href={`/items/${number}`} className={shape}>
      {number}
    </a>
  );
}

export function ChangeNumber({ number }: { number: string }) {
  return (
    <Link to={placeOf(number)} className={shape}>
      {number}
    </Link>
  );
}
