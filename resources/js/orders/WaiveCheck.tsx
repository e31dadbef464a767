import { useState } from 'react';
import { api, told, type Schemas } from '../lib/api';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { Button } from '../ui/Button';
import { Field } from '../ui/Field';
import { Input } from '../ui/Input';
import { ProblemNotice } from '../ui/Notice';

/** Lets a check go as it reads now, with a reason that whoever signs will see. */
export function WaiveCheck({ order, check }: { order: Schemas['OrderData']; check: Schemas['CheckRow'] }) {
  const [open, setOpen] = useState(false);
  const [reason, setReason] = useState('');
  const waive = useAct(touches.order, () =>
    told(
      api.POST('/api/orders/{number}/waivers', {
        params: { path: { number: order.number } },
        body: { check: check.waivable, fault: check.reason, reason, version: order.version },
      }),
    ),
  );
  if (!open) {
    return (
      <Button
        look="quiet"
        className="no-print !h-6 !px-1"
        aria-label={`Waive: ${check.name}`}
        onClick={() => setOpen(true)}
      >
        Waive
      </Button>
    );
  }
  return (
    <form
      aria-label={`Waive: ${check.name}`}
      className="no-print my-1 space-y-2 border-y border-strong bg-sheet p-3"
      onSubmit={(event) => {
        event.preventDefault();
        waive.mutate(undefined);
      }}
    >
      <Field label="Reason, shown in review" error={waive.error?.at('reason')}>
        <Input value={reason} onChange={(event) => setReason(event.target.value)} />
      </Field>
      <ProblemNotice problem={waive.error} shown={['reason']} />
      <div className="flex gap-2">
        <Button type="submit" look="main" busy={waive.isPending}>
          Waive this check
        </Button>
        <Button look="quiet" onClick={() => setOpen(false)}>
          Cancel
        </Button>
      </div>
    </form>
  );
}
