import type { ApiProblem, Schemas } from '../lib/api';
import { rowsOf } from '../lib/rowsOf';
import { priorities, taskKinds } from '../lib/words';
import { DateInput } from '../ui/DateInput';
import { Field } from '../ui/Field';
import { Input, TextArea } from '../ui/Input';
import { Select } from '../ui/Select';
import { WholeInput } from '../ui/WholeInput';
import { EditedSubjects, type Edited } from './EditedSubjects';

/** What is said of a task, as its fields have it. */
export interface Said {
  kind: Schemas['NewTask']['kind'];
  title: string;
  text: string;
  due_on: string;
  priority: Schemas['NewTask']['priority'];
  estimate_hours: number | undefined;
  /** One row of the check list a line. */
  checks: string;
  waits_for: string[];
  edits: Edited[];
  before_review: boolean;
  before_release: boolean;
}

export const nothingSaid: Said = {
  kind: 'other',
  title: '',
  text: '',
  due_on: '',
  priority: 'normal',
  estimate_hours: undefined,
  checks: '',
  waits_for: [],
  edits: [],
  before_review: false,
  before_release: false,
};

/** As the API takes it. */
export const bodyOf = (said: Said) => ({
  ...said,
  due_on: said.due_on === '' ? null : said.due_on,
  estimate_hours: said.estimate_hours ?? null,
  checks: rowsOf(said.checks),
});

interface Props {
  said: Said;
  onChange: (said: Said) => void;
  /** Tasks of the same change, for which it may have to wait. */
  others: Schemas['TaskRow'][];
  /** Items of its order, of which it may edit something. */
  editable: Schemas['EditableItem'][];
  /** What of the order may wait for it. */
  mayWait: readonly ('review' | 'release')[];
  problem: ApiProblem | null;
}

/** The places of the fields, where their faults are told. */
export const placesOf = (said: Said) => [
  ...['kind', 'title', 'text', 'due_on', 'priority', 'estimate_hours', 'checks', 'waits_for', 'edits'],
  ...rowsOf(said.checks).map((_, at) => `checks.${at}`),
  ...said.edits.map((_, at) => `edits.${at}`),
];

/** What is to be done, by when, with its check list, and after which others. */
export function TaskFields({ said, onChange, others, editable, mayWait, problem }: Props) {
  const set = (some: Partial<Said>) => onChange({ ...said, ...some });
  const error = (place: string) => problem?.at(place);
  const checks = rowsOf(said.checks);
  const checkFault =
    error('checks') ?? checks.map((_, at) => error(`checks.${at}`)).find((reason) => reason !== undefined);
  return (
    <>
      <Field label="What is to be done" error={error('title')}>
        <Input value={said.title} onChange={(event) => set({ title: event.target.value })} />
      </Field>
      <div className="grid gap-3 sm:grid-cols-4">
        <Field label="Kind of work" error={error('kind')}>
          <Select value={said.kind} onChange={(kind) => set({ kind })} options={taskKinds} />
        </Field>
        <Field label="Due" error={error('due_on')}>
          <DateInput value={said.due_on} onChange={(due_on) => set({ due_on })} />
        </Field>
        <Field label="Priority" error={error('priority')}>
          <Select value={said.priority} onChange={(priority) => set({ priority })} options={priorities} />
        </Field>
        <Field label="Estimate, hours" error={error('estimate_hours')}>
          <WholeInput value={said.estimate_hours} onChange={(estimate_hours) => set({ estimate_hours })} />
        </Field>
      </div>
      <div className="grid gap-3 sm:grid-cols-2">
        <Field label="Description" error={error('text')}>
          <TextArea rows={3} value={said.text} onChange={(event) => set({ text: event.target.value })} />
        </Field>
        <Field label="Check list, one row a line" error={checkFault}>
          <TextArea rows={3} value={said.checks} onChange={(event) => set({ checks: event.target.value })} />
        </Field>
      </div>
      {editable.length > 0 && (
        <EditedSubjects
          items={editable}
          chosen={said.edits}
          onChange={(edits) => set({ edits })}
          error={
            error('edits') ?? said.edits.map((_, at) => error(`edits.${at}`)).find((reason) => reason !== undefined)
          }
        />
      )}
      {mayWait.length > 0 && (
        <div className="flex flex-wrap gap-x-5">
          {mayWait.includes('review') && (
            <label className="inline-flex min-h-6 items-center gap-1.5">
              <input
                type="checkbox"
                checked={said.before_review || said.edits.length > 0}
                disabled={said.edits.length > 0}
                onChange={(event) => set({ before_review: event.target.checked })}
              />
              Review waits for it
            </label>
          )}
          <label className="inline-flex min-h-6 items-center gap-1.5">
            <input
              type="checkbox"
              checked={said.before_release}
              onChange={(event) => set({ before_release: event.target.checked })}
            />
            Release waits for it
          </label>
        </div>
      )}
      {others.length > 0 && (
        <fieldset>
          <legend className="text-sm font-medium text-soft">Waits for</legend>
          <div className="flex flex-wrap gap-x-5">
            {others.map(({ number, title }) => (
              <label key={number} className="inline-flex min-h-6 items-center gap-1.5">
                <input
                  type="checkbox"
                  checked={said.waits_for.includes(number)}
                  onChange={(event) =>
                    set({
                      waits_for: event.target.checked
                        ? [...said.waits_for, number]
                        : said.waits_for.filter((one) => one !== number),
                    })
                  }
                />
                <span className="font-mono text-sm">{number}</span> {title}
              </label>
            ))}
          </div>
          {error('waits_for') && <p className="text-sm text-alarm">▸ {error('waits_for')}</p>}
        </fieldset>
      )}
    </>
  );
}
