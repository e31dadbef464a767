import type { Schemas } from '../lib/api';
import { rowsOf } from '../lib/rowsOf';
import { taskKinds } from '../lib/words';
import { Button } from '../ui/Button';
import { Field } from '../ui/Field';
import { Input, TextArea } from '../ui/Input';
import { Select } from '../ui/Select';
import { useRecipients } from '../ui/useRecipients';
import { WholeInput } from '../ui/WholeInput';
import { rolesOf, type Judges } from './rolesOf';

export type PathTask = Schemas['PathTaskRule'];

interface Props {
  at: number;
  task: PathTask;
  /** Stages of the path, in which steps are. */
  stages: number[];
  judges: Judges;
  error: (field: string) => string | undefined;
  onChange: (task: PathTask) => void;
  onRemove: () => void;
}

const kindsOfEdits: [PathTask['edits'][number], string][] = [
  ['engineering', 'engineering'],
  ['manufacturing', 'manufacturing at every plant'],
  ['item_data', 'item data'],
];

const RELEASED = 'released';

/**
 * When a task is made: with opening for revision, with a stage of review (one of tasks alone too), with release;
 * for a request with a stage alone.
 */
function whensOf(stages: number[], judges: Judges): Record<string, string> {
  const last = Math.max(1, ...stages);
  const all = Array.from({ length: last }, (_, at) => at + 1);
  const ofStages = Object.fromEntries(all.map((stage) => [String(stage), `With stage ${stage}`]));
  return judges === 'requests'
    ? ofStages
    : { '0': 'When opened for revision', ...ofStages, [RELEASED]: 'When released' };
}

/** Something that is to be done for every change that goes on the path. */
export function PathTaskFields({ at, task, stages, judges, error, onChange, onRemove }: Props) {
  const recipients = useRecipients();
  const set = (some: Partial<PathTask>) => onChange({ ...task, ...some });
  const label = task.title === '' ? `Task ${at + 1}` : task.title;
  const before = task.stage === 0;
  const check = task.checks.map((_, i) => error(`checks.${i}`)).find((reason) => reason !== undefined);
  return (
    <fieldset className="space-y-2 border-t border-rule pt-2">
      <legend className="sr-only">{label}</legend>
      <div className="grid grid-cols-2 items-start gap-2 lg:grid-cols-[13rem_minmax(0,1fr)_9rem_13rem_7rem]">
        <Field label="Made" error={error('stage')}>
          <Select
            value={task.stage == null ? RELEASED : String(task.stage)}
            onChange={(when) => {
              const stage = when === RELEASED ? null : Number(when);
              set({ stage, edits: stage === 0 ? task.edits : [], holds: stage === null ? false : task.holds });
            }}
            options={whensOf(stages, judges)}
          />
        </Field>
        <Field label="What is to be done" error={error('title')}>
          <Input value={task.title} onChange={(event) => set({ title: event.target.value })} />
        </Field>
        <Field label="Kind of work">
          <Select value={task.kind} onChange={(kind) => set({ kind })} options={taskKinds} />
        </Field>
        <Field label="For" error={error('to')}>
          <Select
            value={task.to}
            onChange={(to) => set({ to })}
            options={{ ...rolesOf(judges, 'do'), ...recipients }}
          />
        </Field>
        <Field label="Due, work days" error={error('due_days')}>
          <WholeInput value={task.due_days ?? undefined} onChange={(due) => set({ due_days: due ?? null })} />
        </Field>
      </div>
      <div className="flex flex-wrap items-center gap-x-5 gap-y-1">
        {task.stage != null && (
          <label className="inline-flex min-h-6 items-center gap-1.5">
            <input type="checkbox" checked={task.holds} onChange={(event) => set({ holds: event.target.checked })} />
            {before ? 'Review waits for it' : 'The next stage waits for it'}
          </label>
        )}
        {before && (
          <>
            <span className="text-soft">Edits, of all that the order changes,</span>
            {kindsOfEdits.map(([kind, word]) => (
              <label key={kind} className="inline-flex min-h-6 items-center gap-1.5">
                <input
                  type="checkbox"
                  checked={task.edits.includes(kind)}
                  onChange={(event) =>
                    set({
                      edits: event.target.checked ? [...task.edits, kind] : task.edits.filter((one) => one !== kind),
                    })
                  }
                />
                {word}
              </label>
            ))}
          </>
        )}
        {error('edits') !== undefined && <span className="text-sm text-alarm">▸ {error('edits')}</span>}
        <Button look="quiet" className="ml-auto !h-6 !px-1" aria-label={`Remove task ${label}`} onClick={onRemove}>
          Remove
        </Button>
      </div>
      <Field label="Check list, one row a line" className="max-w-xl" error={error('checks') ?? check}>
        <TextArea
          rows={Math.max(1, task.checks.length)}
          defaultValue={task.checks.join('\n')}
          onChange={(event) => set({ checks: rowsOf(event.target.value) })}
        />
      </Field>
    </fieldset>
  );
}
