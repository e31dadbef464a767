import { useQuery } from '@tanstack/react-query';
import { queries } from '../lib/queries';
import { actKinds, actOf } from '../register/acts';
import { Details } from '../ui/Details';

interface Props {
  chosen: string[];
  error: string | undefined;
  onChange: (chosen: string[]) => void;
}

/** Of which events a system is told: all of a kind, with those that come to it later, or single ones. */
export function EventChoice({ chosen, error, onChange }: Props) {
  const kinds = useQuery(queries.events()).data ?? [];
  const set = (event: string, on: boolean) => onChange(on ? [...chosen, event] : chosen.filter((one) => one !== event));
  return (
    <fieldset>
      <legend className="text-sm font-medium text-soft">Told of</legend>
      <div className="gap-x-8 sm:columns-2 xl:columns-3">
        {kinds.map(({ kind, events }) => {
          const all = `${kind}.*`;
          const some = events.filter((one) => chosen.includes(one));
          const name = actKinds[kind] ?? kind;
          return (
            <div key={kind} className="mb-1 break-inside-avoid">
              <label className="flex min-h-6 items-start gap-1.5">
                <input
                  type="checkbox"
                  className="mt-1"
                  checked={chosen.includes(all)}
                  onChange={(event) => set(all, event.target.checked)}
                />
                {name}: all
              </label>
              {!chosen.includes(all) && (
                <Details
                  summary={
                    <>
                      <span className="sr-only">{name}: </span>
                      {some.length === 0 ? 'one by one' : `one by one, ${some.length} chosen`}
                    </>
                  }
                  open={some.length > 0}
                  className="ml-5 text-sm"
                >
                  {events.map((event) => (
                    <label key={event} className="flex min-h-6 items-start gap-1.5">
                      <input
                        type="checkbox"
                        className="mt-1"
                        checked={chosen.includes(event)}
                        onChange={({ target }) => set(event, target.checked)}
                      />
                      {actOf(event)}
                    </label>
                  ))}
                </Details>
              )}
            </div>
          );
        })}
      </div>
      {error !== undefined && <p className="text-sm text-alarm">▸ {error}</p>}
    </fieldset>
  );
}
