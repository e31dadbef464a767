import type { Schemas } from '../lib/api';
import { amount, cents, day, moment } from '../lib/format';

/** The days that were chosen so far, the last first: a choice is never changed, another one is added. */
export function ChosenDays({ chosen }: { chosen: Schemas['CutInChosen'][] }) {
  if (chosen.length === 0) return null;
  return (
    <section aria-labelledby="chosen">
      <h2 id="chosen" className="mb-1">
        Chosen days
      </h2>
      <ul className="border-y border-strong bg-sheet">
        {chosen.map((one) => (
          <li key={one.at} className="border-b border-rule px-2 py-1 last:border-b-0">
            <b className="font-semibold">{day(one.chosen_on)}</b> for {amount(cents(one.total))}: {one.reason}{' '}
            <span className="text-sm text-soft">
              {one.by}, {moment(one.at)}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
