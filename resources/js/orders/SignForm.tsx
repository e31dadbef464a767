import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api, told, type Schemas } from '../lib/api';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { useDraft } from '../lib/useDraft';
import { Button } from '../ui/Button';
import { Field } from '../ui/Field';
import { Input, TextArea } from '../ui/Input';
import { ProblemNotice } from '../ui/Notice';

interface Props {
  order: Schemas['OrderData'];
  maySign: boolean;
  maySendBack: boolean;
}

/** Signs with the password, or sends back with a reason. A signature covers what was on screen, and nothing else. */
export function SignForm({ order, maySign, maySendBack }: Props) {
  const [password, setPassword] = useState('');
  const draft = useDraft(`send back ${order.number}`, { reason: '' });
  const navigate = useNavigate();
  const path = { number: order.number };
  const leave = () => void navigate(`/changes/${order.number}`);
  const sign = useAct(
    touches.order,
    () =>
      told(api.POST('/api/orders/{number}/signature', { params: { path }, body: { password, digest: order.digest } })),
    leave,
  );
  const sendBack = useAct(
    touches.order,
    () => told(api.POST('/api/orders/{number}/return', { params: { path }, body: { reason: draft.value.reason } })),
    () => {
      draft.clear();
      leave();
    },
  );
  return (
    <section
      aria-label="Decision"
      className="no-print grid max-w-4xl gap-8 border-t-2 border-accent pt-3 md:grid-cols-2"
    >
      {maySign && (
        <form
          className="space-y-2"
          onSubmit={(event) => {
            event.preventDefault();
            sign.mutate(undefined);
          }}
        >
          <h2>Sign</h2>
          <Field label="Your password" error={sign.error?.at('password')}>
            <Input
              type="password"
              autoComplete="current-password"
              value={password}
              onChange={(event) => setPassword(event.target.value)}
            />
          </Field>
          <ProblemNotice problem={sign.error} shown={['password']} />
          <Button type="submit" look="main" busy={sign.isPending}>
            Sign this page
          </Button>
        </form>
      )}
      {maySendBack && (
        <form
          className="space-y-2"
          onSubmit={(event) => {
            event.preventDefault();
            sendBack.mutate(undefined);
          }}
        >
          <h2>Send back</h2>
          <Field label="Reason and required corrections" error={sendBack.error?.at('reason')}>
            <TextArea value={draft.value.reason} onChange={(event) => draft.change({ reason: event.target.value })} />
          </Field>
          <ProblemNotice problem={sendBack.error} shown={['reason']} />
          <Button type="submit" look="alarm" busy={sendBack.isPending}>
            Send back
          </Button>
        </form>
      )}
    </section>
  );
}
