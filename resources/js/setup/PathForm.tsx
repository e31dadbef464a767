import { useState } from 'react';
import { api, told, type Schemas } from '../lib/api';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { Button } from '../ui/Button';
import { Field } from '../ui/Field';
import { Input } from '../ui/Input';
import { ProblemNotice } from '../ui/Notice';
import { CodeField, isCode } from './CodeField';
import { PathStepFields } from './PathStepFields';
import { TryPath } from './TryPath';
import { SaveOrRetire } from './SaveOrRetire';

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

/** Adds an approval path, or makes another version of one. */
export function PathForm({ path, onDone }: { path: Schemas['ApprovalPathRow'] | null; onDone: () => void }) {
  const [code, setCode] = useState(path?.code ?? '');
  const [name, setName] = useState(path?.name ?? '');
  const [steps, setSteps] = useState<Step[]>(path?.steps ?? [nextStep([])]);
  const [tried, setTried] = useState(false);
  const set = useAct(
    touches.path,
    (retired: boolean) =>
      told(
        api.PUT('/api/approval-paths/{code}', {
          params: { path: { code } },
          body: { name, steps, retired, ...(path === null ? {} : { version: path.version }) },
        }),
      ),
    onDone,
  );
  const change = (at: number, step: Step) => setSteps(steps.map((one, i) => (i === at ? step : one)));
  const swap = (at: number, with_: number) =>
    setSteps(steps.map((one, i) => (i === at ? steps[with_] : i === with_ ? steps[at] : one)) as Step[]);
  const shown = steps.flatMap((step, at) => [
    ...['name', 'stage', 'who', 'needed', 'due_days', 'back_to', 'remind_days', 'escalate_days', 'escalate_to'].map(
      (field) => `steps.${at}.${field}`,
    ),
    ...step.conditions.map((_, i) => `steps.${at}.conditions.${i}.values`),
  ]);
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
      </div>
      {steps.map((step, at) => (
        <PathStepFields
          key={at}
          at={at}
          step={step}
          steps={steps}
          error={(field) => set.error?.at(`steps.${at}.${field}`)}
          onChange={(next) => change(at, next)}
          onUp={at > 0 ? () => swap(at, at - 1) : undefined}
          onRemove={steps.length > 1 ? () => setSteps(steps.filter((_, i) => i !== at)) : undefined}
        />
      ))}
      <Button onClick={() => setSteps([...steps, nextStep(steps)])}>Add a step</Button>
      <TryPath steps={steps} />
      <ProblemNotice problem={set.error} shown={['code', 'name', ...shown]} />
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
