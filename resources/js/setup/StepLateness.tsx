import type { Schemas } from '../lib/api';
import { Field } from '../ui/Field';
import { Several } from '../ui/Several';
import { WholeInput } from '../ui/WholeInput';

type Step = Schemas['PathStepRule'];

interface Props {
  label: string;
  step: Step;
  /** Who can be told, by the names that the server takes. */
  options: Record<string, string>;
  error: (field: string) => string | undefined;
  onChange: (step: Step) => void;
}

/** Who is reminded before a step is due, and who is told when it stays undone. */
export function StepLateness({ label, step, options, error, onChange }: Props) {
  const set = (some: Partial<Step>) => onChange({ ...step, ...some });
  return (
    <div className="flex flex-wrap items-start gap-3">
      <Field label="Remind, work days before" className="w-44" error={error('remind_days')}>
        <WholeInput
          value={step.remind_days ?? undefined}
          placeholder="no reminder"
          onChange={(days) => set({ remind_days: days ?? null })}
        />
      </Field>
      <Field label="Escalate, work days after" className="w-44" error={error('escalate_days')}>
        <WholeInput
          value={step.escalate_days ?? undefined}
          placeholder="never"
          onChange={(days) => set({ escalate_days: days ?? null })}
        />
      </Field>
      {step.escalate_days != null && (
        <div>
          <span className="mb-0.5 block text-sm font-medium text-soft">Escalate to</span>
          <Several
            label={`Escalate ${label} to`}
            chosen={(step.escalate_to ?? []).join(',')}
            options={options}
            none="Whoever raised it"
            onChange={(chosen) => set({ escalate_to: chosen === '' ? [] : chosen.split(',') })}
          />
          {error('escalate_to') !== undefined && <p className="mt-0.5 text-sm text-alarm">▸ {error('escalate_to')}</p>}
        </div>
      )}
    </div>
  );
}
