import { useState } from 'react';
import { api, told, type Schemas } from '../lib/api';
import { moment } from '../lib/format';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { Button } from '../ui/Button';
import { Field } from '../ui/Field';
import { Input } from '../ui/Input';
import { Notice, ProblemNotice } from '../ui/Notice';

/** Puts an order on hold, and says that it is, since when, by whom and why, until it is let go on. */
export function OnHold({ order, may }: { order: Schemas['OrderData']; may: boolean }) {
  const [open, setOpen] = useState(false);
  const [reason, setReason] = useState('');
  const [moves, setMoves] = useState(true);
  const held = order.on_hold;
  const turn = useAct(
    touches.order,
    () => {
      const params = { path: { number: order.number } };
      return held === null
        ? told(api.POST('/api/orders/{number}/hold', { params, body: { reason, version: order.version } }))
        : told(api.DELETE('/api/orders/{number}/hold', { params, body: { reason, moves, version: order.version } }));
    },
    () => {
      setOpen(false);
      setReason('');
    },
  );
  if (held === null && (!may || !order.is_open)) return null;
  const act = held === null ? 'Put on hold' : 'Let it go on';
  return (
    <div className="space-y-2">
      {held !== null && (
        <Notice look="warn">
          On hold since {moment(held.since)}, {held.by}: {held.reason}
        </Notice>
      )}
      {may && !open && (
        <Button look={held === null ? 'quiet' : 'main'} className="no-print" onClick={() => setOpen(true)}>
          {act}
        </Button>
      )}
      {may && open && (
        <form
          aria-label={act}
          className="no-print max-w-3xl space-y-2 border-y border-strong bg-sheet p-3"
          onSubmit={(event) => {
            event.preventDefault();
            turn.mutate(undefined);
          }}
        >
          <Field label="Reason" error={turn.error?.at('reason')}>
            <Input value={reason} onChange={(event) => setReason(event.target.value)} />
          </Field>
          {held !== null && (
            <label className="inline-flex min-h-6 items-center gap-1.5">
              <input type="checkbox" checked={moves} onChange={(event) => setMoves(event.target.checked)} />
              Due dates move by the days that it was on hold
            </label>
          )}
          <ProblemNotice problem={turn.error} shown={['reason']} />
          <div className="flex gap-2">
            <Button type="submit" look="main" busy={turn.isPending}>
              {act}
            </Button>
            <Button look="quiet" onClick={() => setOpen(false)}>
              Cancel
            </Button>
          </div>
        </form>
      )}
    </div>
  );
}
