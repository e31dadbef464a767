import type { Schemas } from '../lib/api';
import { ChosenDay } from './ChosenDay';

/** The days that were chosen so far, the last first: a choice is never changed, another one is added. */
export function ChosenDays({ number, chosen }: { number: string; chosen: Schemas['CutInChosen'][] }) {
  if (chosen.length === 0) return null;
  return (
    <section aria-labelledby="chosen">
      <h2 id="chosen" className="mb-1">
        Chosen days
      </h2>
      <ul className="border-y border-strong bg-sheet">
        {chosen.map((one) => (
          <li key={one.id} className="border-b border-rule px-2 py-1 last:border-b-0">
            <ChosenDay number={number} chosen={one} />
          </li>
        ))}
      </ul>
    </section>
  );
}
