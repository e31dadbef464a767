import type { Schemas } from '../lib/api';
import { count, moment } from '../lib/format';
import { actOf, detailsOf } from '../register/acts';
import { Details } from '../ui/Details';

/** What others have done to a change since the reader looked at it last; nothing, where nothing is new. */
export function SinceLooked({ look }: { look: Schemas['SinceLooked'] }) {
  if (look.since === null || look.total === 0) return null;
  const { acts, names, total } = look;
  return (
    <div id="new" className="no-print mb-4 border-y border-accent bg-sheet px-3 py-1.5">
      <Details
        summary={`New since ${moment(look.since)}: ${total === 1 ? 'one act' : `${count(total)} acts`} by others`}
      >
        <ul className="mt-1">
          {acts.map((act) => (
            <li key={act.number} className="border-t border-rule py-0.5 first:border-t-0">
              <span className="text-soft">{moment(act.at)}</span> {names[act.actor] ?? act.actor}:{' '}
              <b className="font-semibold">{actOf(act.act)}</b>{' '}
              <span className="text-soft">{detailsOf(act.details)}</span>
            </li>
          ))}
        </ul>
        {total > acts.length && (
          <p className="text-soft">The newest {acts.length} are shown; all of them are in the ledger of the change.</p>
        )}
      </Details>
    </div>
  );
}
