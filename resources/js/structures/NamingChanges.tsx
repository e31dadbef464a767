import { useState } from 'react';
import type { Schemas } from '../lib/api';
import { day } from '../lib/format';
import { states } from '../lib/words';
import { ChangeNumber } from '../ui/Num';

const FEW = 6;

/** The requests and orders that name an item, newest first. */
export function NamingChanges({ changes }: { changes: Schemas['ChangeRow'][] }) {
  const [all, setAll] = useState(false);
  const shown = all ? changes : changes.slice(0, FEW);
  return (
    <section aria-labelledby="naming">
      <h2 id="naming" className="mb-1">
        Changes affecting it
      </h2>
      {changes.length === 0 ? (
        <p className="border-y border-rule py-2 text-soft">No change affects it.</p>
      ) : (
        <ul className="border-y border-strong bg-sheet text-sm">
          {shown.map((change) => (
            <li key={change.number} className="flex gap-3 border-t border-rule px-1.5 py-1 first:border-t-0">
              <ChangeNumber number={change.number} />
              <span className="min-w-0 grow truncate" title={change.title}>
                {change.title}
              </span>
              <span
                className={change.open ? 'font-semibold whitespace-nowrap text-warn' : 'whitespace-nowrap text-soft'}
              >
                {states[change.state]}
              </span>
              <span className="sr-only">{day(change.raised_at.slice(0, 10))}</span>
            </li>
          ))}
        </ul>
      )}
      {changes.length > FEW && (
        <button type="button" className="mt-1 text-sm text-accent hover:underline" onClick={() => setAll(!all)}>
          {all ? 'Show fewer' : `Show all ${changes.length}`}
        </button>
      )}
    </section>
  );
}
