import { useQuery } from '@tanstack/react-query';
import type { Schemas } from '../lib/api';
import { queries } from '../lib/queries';
import { rowsOf } from '../lib/rowsOf';
import { meanings } from '../lib/words';
import { Button } from '../ui/Button';
import { Field } from '../ui/Field';
import { Details } from '../ui/Details';
import { Input, TextArea } from '../ui/Input';
import { Select } from '../ui/Select';
import { Several } from '../ui/Several';
import { WholeInput } from '../ui/WholeInput';
import { PathConditions } from './PathConditions';
import { rolesOf, type Judges } from './rolesOf';
import { StepLateness } from './StepLateness';

type Step = Schemas['PathStepRule'];

interface Props {
  at: number;
  step: Step;
  /** All of the path: where a step may send back to. */
  steps: Step[];
  judges: Judges;
  error: (field: string) => string | undefined;
  onChange: (step: Step) => void;
  onUp: (() => void) | undefined;
  onRemove: (() => void) | undefined;
}

/** One step of a path: who signs it, how many of them, with what meaning, when it is needed, and where it may send back to. */
export function PathStepFields({ at, step, steps, judges, error, onChange, onUp, onRemove }: Props) {
  const people = useQuery(queries.people()).data ?? [];
  const groups = useQuery(queries.groups()).data ?? [];
  const set = (some: Partial<Step>) => onChange({ ...step, ...some });
  const who = {
    ...rolesOf(judges, 'sign'),
    ...Object.fromEntries(groups.map(({ code, name }) => [`group:${code}`, `${name} (group)`])),
    ...Object.fromEntries(
      people
        .filter((one) => (judges === 'orders' ? one.may_sign : one.may_judge))
        .map(({ login, name }) => [login, name]),
    ),
  };
  const escalation = Object.fromEntries(Object.entries(who).filter(([code]) => !code.startsWith('role:')));
  const before = [...new Set(steps.map(({ stage }) => stage))]
    .filter((stage) => stage < step.stage)
    .sort((a, b) => a - b);
  const label = step.name === '' ? `Step ${at + 1}` : step.name;
  return (
    <fieldset className="space-y-2 border-t border-rule pt-2">
      <legend className="sr-only">{label}</legend>
      <div className="grid items-start gap-2 grid-cols-2 lg:grid-cols-[5rem_minmax(0,1fr)_9.5rem_6rem_9rem_7rem]">
        <Field label="Stage" error={error('stage')}>
          <WholeInput value={step.stage} onChange={(stage) => set({ stage: stage ?? 1 })} />
        </Field>
        <Field label="Step" error={error('name')}>
          <Input value={step.name} onChange={(event) => set({ name: event.target.value })} />
        </Field>
        <div>
          <span className="mb-0.5 block text-sm font-medium text-soft">Who signs</span>
          <Several
            label={`Who signs ${label}`}
            chosen={step.who.join(',')}
            options={who}
            onChange={(chosen) => set({ who: chosen === '' ? [] : chosen.split(',') })}
          />
          {error('who') !== undefined && <p className="mt-0.5 text-sm text-alarm">▸ {error('who')}</p>}
        </div>
        <Field label="Needed" hint={step.needed === 0 ? 'all of them' : undefined} error={error('needed')}>
          <WholeInput value={step.needed} placeholder="0" onChange={(needed) => set({ needed: needed ?? 0 })} />
        </Field>
        <Field label="Meaning">
          <Select value={step.meaning} onChange={(meaning) => set({ meaning })} options={meanings} />
        </Field>
        <Field label="Due, work days" error={error('due_days')}>
          <WholeInput
            value={step.due_days ?? undefined}
            onChange={(due) =>
              set(due === undefined ? { due_days: null, remind_days: null, escalate_days: null } : { due_days: due })
            }
          />
        </Field>
      </div>
      <div className="flex flex-wrap items-center gap-x-5 gap-y-1">
        <label className="inline-flex min-h-6 items-center gap-1.5">
          <input
            type="checkbox"
            checked={step.with_password}
            onChange={(event) => set({ with_password: event.target.checked })}
          />
          With password
        </label>
        <span className="text-soft">May send back to</span>
        {[0, ...before].map((stage) => (
          <label key={stage} className="inline-flex min-h-6 items-center gap-1.5">
            <input
              type="checkbox"
              checked={step.back_to.includes(stage)}
              onChange={(event) =>
                set({
                  back_to: event.target.checked
                    ? [...step.back_to, stage].sort((a, b) => a - b)
                    : step.back_to.filter((one) => one !== stage),
                })
              }
            />
            {stage === 0 ? (judges === 'orders' ? 'the editor' : 'whoever raised it') : `stage ${stage}`}
          </label>
        ))}
        {error('back_to') !== undefined && <span className="text-sm text-alarm">▸ {error('back_to')}</span>}
        <span className="ml-auto flex gap-1">
          {onUp && (
            <Button look="quiet" className="!h-6 !px-1" aria-label={`Up: ${label}`} onClick={onUp}>
              ↑
            </Button>
          )}
          {onRemove && (
            <Button look="quiet" className="!h-6 !px-1" aria-label={`Remove step ${label}`} onClick={onRemove}>
              Remove
            </Button>
          )}
        </span>
      </div>
      {step.due_days != null && (
        <StepLateness label={label} step={step} error={error} onChange={onChange} options={escalation} />
      )}
      <Details
        summary={`Check list${step.checks?.length ? `, ${step.checks.length}` : ''}`}
        open={(step.checks?.length ?? 0) > 0}
      >
        <Field label="What whoever signs ticks first, one row a line" className="max-w-xl" error={error('checks')}>
          <TextArea
            rows={Math.max(2, step.checks?.length ?? 0)}
            defaultValue={step.checks?.join('\n')}
            onChange={(event) => set({ checks: rowsOf(event.target.value) })}
          />
        </Field>
      </Details>
      <PathConditions
        label={label}
        conditions={step.conditions}
        error={(i) => error(`conditions.${i}.values`)}
        onChange={(conditions) => set({ conditions })}
      />
    </fieldset>
  );
}
