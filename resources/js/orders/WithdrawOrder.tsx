import { useState } from 'react';
import { api, told, type Schemas } from '../lib/api';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { Button } from '../ui/Button';
import { Field } from '../ui/Field';
import { Input } from '../ui/Input';
import { ProblemNotice } from '../ui/Notice';

/** Gives an order up before release, with a reason; its requests are approved and without an order again. */
export function WithdrawOrder({ order }: { order: Schemas['OrderData'] }) {
  const [open, setOpen] = useState(false);
  const [reason, setReason] = useState('');
  const withdraw = useAct(touches.order, () =>
    told(
      api.POST('/api/orders/{number}/withdrawal', {
        params: { path: { number: order.number } },
        body: { reason, version: order.version },
      }),
    ),
  );
  if (!open) {
    return (
      <Button look="quiet" onClick={() => setOpen(true)}>
        Withdraw the order
      </Button>
    );
  }
  return (
    <form
      className="flex items-start gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        withdraw.mutate(undefined);
      }}
    >
      <Field label="Why it is withdrawn" error={withdraw.error?.at('reason')} className="w-80">
        <Input value={reason} onChange={(event) => setReason(event.target.value)} />
      </Field>
      <Button type="submit" look="alarm" className="mt-5.5" busy={withdraw.isPending}>
        Withdraw
      </Button>
      <Button look="quiet" className="mt-5.5" onClick={() => setOpen(false)}>
        Keep the order
      </Button>
      <ProblemNotice problem={withdraw.error} shown={['reason']} />
    </form>
  );
}
