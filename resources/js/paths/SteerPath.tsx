import { useState } from 'react';
import { api, told, type Schemas } from '../lib/api';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { AssigneeField } from '../tasks/AssigneeField';
import { Button } from '../ui/Button';
import { Field } from '../ui/Field';
import { TextArea } from '../ui/Input';
import { ProblemNotice } from '../ui/Notice';
import { Select } from '../ui/Select';

interface Props {
  number: string;
  path: Schemas['PathPicture'];
  of?: 'order' | 'request';
}

/** An administrator gives a step that is not over to others, or skips it, with a reason on record. */
export function SteerPath({ number, path, of = 'order' }: Props) {
  const [open, setOpen] = useState(false);
  const [step, setStep] = useState('');
  const [to, setTo] = useState('');
  const [reason, setReason] = useState('');
  const ahead = path.steps.flatMap(({ name, standing }, at) =>
    standing === 'now' || standing === 'ahead' ? [[String(at), name] as const] : [],
  );
  const steer = useAct(
    touches[of],
    () => {
      const asked = {
        params: { path: { number } },
        body: { step: Number(step), reason, ...(to === '' ? {} : { to: [to] }) },
      };
      return told(
        of === 'order' ? api.POST('/api/orders/{number}/path', asked) : api.POST('/api/requests/{number}/path', asked),
      );
    },
    () => {
      setOpen(false);
      setReason('');
    },
  );
  if (!open) {
    return (
      <Button className="no-print" onClick={() => setOpen(true)}>
        Reassign or skip a step
      </Button>
    );
  }
  return (
    <form
      aria-label="Reassign or skip a step"
      className="no-print max-w-3xl space-y-2 border-y border-strong bg-sheet p-3"
      onSubmit={(event) => {
        event.preventDefault();
        steer.mutate(undefined);
      }}
    >
      <div className="grid gap-3 sm:grid-cols-2">
        <Field label="Step" error={steer.error?.at('step')}>
          <Select value={step} onChange={setStep} options={Object.fromEntries(ahead)} />
        </Field>
        <AssigneeField
          label="To (nobody: it is skipped)"
          value={to}
          onChange={setTo}
          placeholder="Nobody: skip it"
          error={steer.error?.at('to')}
        />
      </div>
      <Field label="Reason" error={steer.error?.at('reason')}>
        <TextArea rows={2} value={reason} onChange={(event) => setReason(event.target.value)} />
      </Field>
      <ProblemNotice problem={steer.error} shown={['step', 'to', 'reason']} />
      <div className="flex gap-2">
        <Button type="submit" look="alarm" busy={steer.isPending} disabled={step === ''}>
          {to === '' ? 'Skip the step' : 'Reassign the step'}
        </Button>
        <Button look="quiet" onClick={() => setOpen(false)}>
          Cancel
        </Button>
      </div>
    </form>
  );
}
