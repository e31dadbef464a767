import { useState } from 'react';
import { api, told, type Schemas } from '../lib/api';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { Button } from '../ui/Button';
import { Field } from '../ui/Field';
import { Input } from '../ui/Input';
import { Select } from '../ui/Select';
import { ProblemNotice } from '../ui/Notice';
import { WholeInput } from '../ui/WholeInput';
import { CodeField, isCode } from './CodeField';
import { PathConditions } from './PathConditions';
import { PathStepFields } from './PathStepFields';
import { PathTaskFields, type PathTask } from './PathTaskFields';
import { TryPath } from './TryPath';
import { SaveOrRetire } from './SaveOrRetire';
import { judges, type Judges } from './rolesOf';

export type Step = Schemas['PathStepRule'];

const nextStep = (steps: Step[]): Step => ({
  name: '',
  stage: Math.max(0, ...steps.map(({ stage }) => stage)) + 1,
  who: [],
  needed: 1,
  meaning: 'approved',
  with_password: true,
  due_days: null,
  conditions: [],
  back_to: [0],
  remind_days: null,
  escalate_days: null,
  escalate_to: [],
});

const nextTask = (path: Judges): PathTask => ({
  stage: path === 'orders' ? 0 : 1,
  kind: 'design',
  title: '',
  to: path === 'orders' ? 'role:editor' : 'role:owner',
  holds: true,
  due_days: null,
  checks: [],
  edits: [],
});

/** Adds an approval path, or makes another version of one. */
export function PathForm({ path, onDone }: { path: Schemas['ApprovalPathRow'] | null; onDone: () => void }) {
  const [code, setCode] = useState(path?.code ?? '');
  const [name, setName] = useState(path?.name ?? '');
  const [judged, setJudged] = useState<Judges>(path?.judges ?? 'orders');
  const ofOrders = judged === 'orders';
  const [steps, setSteps] = useState<Step[]>(path?.steps ?? [nextStep([])]);
  const [tasks, setTasks] = useState<PathTask[]>(path?.tasks ?? []);
  const [sendsItself, setSendsItself] = useState(path?.sends_itself ?? false);
  const [chosenWhen, setChosenWhen] = useState<Schemas['PathCondition'][] | null>(path?.chosen_when ?? null);
  const [rank, setRank] = useState<number | undefined>(path?.rank ?? 0);
  const [tried, setTried] = useState(false);
  const set = useAct(
    touches.path,
    (retired: boolean) =>
      told(
        api.PUT('/api/approval-paths/{code}', {
          params: { path: { code } },
          body: {
            name,
            judges: judged,
            steps,
            tasks,
            sends_itself: ofOrders && sendsItself,
            chosen_when: chosenWhen,
            rank: rank ?? 0,
            retired,
            ...(path === null ? {} : { version: path.version }),
          },
        }),
      ),
    onDone,
  );
  const change = (at: number, step: Step) => setSteps(steps.map((one, i) => (i === at ? step : one)));
  const swap = (at: number, with_: number) =>
    setSteps(steps.map((one, i) => (i === at ? steps[with_] : i === with_ ? steps[at] : one)) as Step[]);
  const shown = steps.flatMap((step, at) => [
    ...[
      'name',
      'stage',
      'who',
      'needed',
      'due_days',
      'back_to',
      'remind_days',
      'escalate_days',
      'escalate_to',
      'checks',
    ].map((field) => `steps.${at}.${field}`),
    ...step.conditions.map((_, i) => `steps.${at}.conditions.${i}.values`),
  ]);
  const ofTasks = tasks.flatMap((task, at) => [
    ...['stage', 'title', 'to', 'due_days', 'checks', 'edits'].map((field) => `tasks.${at}.${field}`),
    ...task.checks.map((_, i) => `tasks.${at}.checks.${i}`),
  ]);
  const ofRule = (chosenWhen ?? []).map((_, i) => `chosen_when.${i}.values`);
  return (
    <form
      aria-label={path === null ? 'New approval path' : `Change ${path.name}`}
      className="space-y-3 border-y border-strong bg-sheet p-3"
      onSubmit={(event) => {
        event.preventDefault();
        setTried(true);
        if (isCode(code)) set.mutate(path?.retired ?? false);
      }}
    >
      <div className="flex items-start gap-2">
        {path === null && (
          <CodeField value={code} onChange={setCode} tried={tried} error={set.error?.at('code')} such="usual" />
        )}
        <Field label="Name" className="w-72" error={set.error?.at('name')}>
          <Input value={name} onChange={(event) => setName(event.target.value)} />
        </Field>
        {path === null && (
          <Field label="Judges" className="w-40" error={set.error?.at('judges')}>
            <Select value={judged} onChange={setJudged} options={judges} />
          </Field>
        )}
      </div>
      {steps.map((step, at) => (
        <PathStepFields
          key={at}
          at={at}
          step={step}
          steps={steps}
          judges={judged}
          error={(field) => set.error?.at(`steps.${at}.${field}`)}
          onChange={(next) => change(at, next)}
          onUp={at > 0 ? () => swap(at, at - 1) : undefined}
          onRemove={steps.length > 1 ? () => setSteps(steps.filter((_, i) => i !== at)) : undefined}
        />
      ))}
      <Button onClick={() => setSteps([...steps, nextStep(steps)])}>Add a step</Button>
      <section aria-labelledby="path-tasks" className="space-y-2 border-t border-strong pt-2">
        <h3 id="path-tasks">Tasks</h3>
        {tasks.map((task, at) => (
          <PathTaskFields
            key={at}
            at={at}
            task={task}
            judges={judged}
            stages={steps.map(({ stage }) => stage)}
            error={(field) => set.error?.at(`tasks.${at}.${field}`)}
            onChange={(next) => setTasks(tasks.map((one, i) => (i === at ? next : one)))}
            onRemove={() => setTasks(tasks.filter((_, i) => i !== at))}
          />
        ))}
        <div className="flex flex-wrap items-center gap-x-5">
          <Button onClick={() => setTasks([...tasks, nextTask(judged)])}>Add a task</Button>
          {ofOrders && (
            <label className="inline-flex min-h-6 items-center gap-1.5">
              <input type="checkbox" checked={sendsItself} onChange={(event) => setSendsItself(event.target.checked)} />
              An order goes to review by itself when the last task before is done
            </label>
          )}
        </div>
      </section>
      <section aria-labelledby="path-rule" className="space-y-2 border-t border-strong pt-2">
        <h3 id="path-rule">Chosen</h3>
        <label className="inline-flex min-h-6 items-center gap-1.5">
          <input
            type="checkbox"
            checked={chosenWhen !== null}
            onChange={(event) => setChosenWhen(event.target.checked ? [] : null)}
          />
          {ofOrders ? 'By rule, for new orders' : 'By rule, with the finding'}
        </label>
        {chosenWhen !== null && (
          <>
            <PathConditions
              label="the rule"
              first="Chosen if"
              conditions={chosenWhen}
              error={(i) => set.error?.at(`chosen_when.${i}.values`)}
              onChange={setChosenWhen}
            />
            <Field
              label="Rank"
              className="w-40"
              hint={
                chosenWhen.length === 0
                  ? `Without conditions it is chosen for every ${ofOrders ? 'order' : 'request'}.`
                  : 'The least is chosen first.'
              }
              error={set.error?.at('rank')}
            >
              <WholeInput value={rank} placeholder="0" onChange={setRank} />
            </Field>
          </>
        )}
      </section>
      <TryPath steps={steps} tasks={tasks} judges={judged} />
      <ProblemNotice problem={set.error} shown={['code', 'name', 'judges', 'rank', ...shown, ...ofTasks, ...ofRule]} />
      <SaveOrRetire
        save={path === null ? 'Add path' : 'Save as the next version'}
        retired={path?.retired ?? null}
        busy={set.isPending}
        onRetire={set.mutate}
        onCancel={onDone}
      />
    </form>
  );
}
