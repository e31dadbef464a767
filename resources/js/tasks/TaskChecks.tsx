import { api, told, type Schemas } from '../lib/api';
import { moment } from '../lib/format';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { ProblemNotice } from '../ui/Notice';

/** The check list of a task; who has the task ticks it. */
export function TaskChecks({ page }: { page: Schemas['TaskPage'] }) {
  const { number } = page.task;
  const tick = useAct(
    touches.task,
    ({ place, ticked }: { place: number; ticked: boolean }) =>
      told(
        api.PUT('/api/tasks/{number}/checks/{place}', {
          params: { path: { number, place: String(place) } },
          body: { ticked },
        }),
      ),
    undefined,
    `ticks ${number}`,
  );
  const may = page.may.includes('finish');
  if (page.checks.length === 0) return null;
  return (
    <section aria-labelledby="checks">
      <h2 id="checks" className="mb-1">
        Check list
      </h2>
      <ul className="border-y border-strong bg-sheet">
        {page.checks.map(({ place, text, ticked_by, ticked_at }) => (
          <li key={place} className="border-b border-rule px-2 last:border-b-0">
            <label className="flex min-h-8 items-center gap-2">
              <input
                type="checkbox"
                checked={ticked_by !== null}
                disabled={!may}
                onChange={(event) => tick.mutate({ place, ticked: event.target.checked })}
              />
              <span className="grow">{text}</span>
              {ticked_by !== null && (
                <span className="text-sm text-soft">
                  {ticked_by}, {moment(ticked_at)}
                </span>
              )}
            </label>
          </li>
        ))}
      </ul>
      <ProblemNotice problem={tick.error} />
    </section>
  );
}
