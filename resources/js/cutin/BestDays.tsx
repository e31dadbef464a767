import type { Schemas } from '../lib/api';
import { day } from '../lib/format';

interface Props {
  page: Schemas['CutInPage'];
  onDay: (on: string) => void;
}

/** The days worth looking at: those for all plants together, and, where there are several, the best of each. */
export function BestDays({ page, onDay }: Props) {
  const jumps = [
    ['Least cost', page.best.least_cost],
    ['Least disturbing', page.best.least_disturbing],
    ['Earliest', page.best.earliest],
    ['Run-out', page.run_out],
    ['Prescribed', page.prescribed],
  ] as const;
  const { as_good_from: from, as_good_to: to } = page.best;
  return (
    <div className="min-w-0 space-y-0.5">
      <p className="!m-0 flex flex-wrap gap-x-3">
        {jumps.map(([name, on]) => on !== null && <Jump key={name} name={name} on={on} onDay={onDay} />)}
      </p>
      <p className="!m-0 text-sm text-soft">
        {from !== null && to !== null && from !== to && `As good within 1 %: ${day(from)} to ${day(to)}. `}
        {page.waits_for.length > 0 && `Earliest waits for ${page.waits_for.join(', ')}. `}
        {page.plants.length > 1 &&
          page.plants.map(
            ({ plant, best }) =>
              best.least_cost !== null && (
                <span key={plant} className="mr-3">
                  <Jump name={`${plant} alone`} on={best.least_cost} onDay={onDay} />
                </span>
              ),
          )}
      </p>
    </div>
  );
}

function Jump({ name, on, onDay }: { name: string; on: string; onDay: (on: string) => void }) {
  return (
    <button type="button" className="min-h-6 text-accent hover:underline" onClick={() => onDay(on)}>
      {name} {day(on)}
    </button>
  );
}
