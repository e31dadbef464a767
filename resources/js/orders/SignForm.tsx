import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api, told, type Schemas } from '../lib/api';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { useDraft } from '../lib/useDraft';
import { StepToSign } from '../paths/StepToSign';
import { backTo } from '../paths/backTo';
import { useSigning } from '../paths/useSigning';
import { Button } from '../ui/Button';
import { Field } from '../ui/Field';
import { TextArea } from '../ui/Input';
import { ProblemNotice } from '../ui/Notice';
import { Select } from '../ui/Select';

interface Props {
  order: Schemas['OrderData'];
  maySign: boolean;
  maySendBack: boolean;
}

/** Signs a step of the path, or sends back with a reason. A signature covers what was on screen, and nothing else. */
export function SignForm({ order, maySign, maySendBack }: Props) {
  const { path } = order;
  const signing = useSigning(path);
  const [stage, setStage] = useState('0');
  const draft = useDraft(`send back ${order.number}`, { reason: '' });
  const navigate = useNavigate();
  const at = { path: { number: order.number } };
  const leave = () => void navigate(`/changes/${order.number}`);
  const sign = useAct(
    touches.order,
    () =>
      told(
        api.POST('/api/orders/{number}/signature', {
          params: at,
          body: { ...signing.body, digest: order.digest },
        }),
      ),
    leave,
  );
  const sendBack = useAct(
    touches.order,
    () =>
      told(
        api.POST('/api/orders/{number}/return', {
          params: at,
          body: { reason: draft.value.reason, ...(stage === '0' ? {} : { stage: Number(stage) }) },
        }),
      ),
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
          <StepToSign path={path} signing={signing} error={(field) => sign.error?.at(field)} />
          <ProblemNotice problem={sign.error} shown={['password', 'step', 'checks']} />
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
          {path.back_to.length > 0 && (
            <Field label="To" error={sendBack.error?.at('stage')}>
              <Select value={stage} onChange={setStage} options={backTo(path, 'The editor')} />
            </Field>
          )}
          <Field label="Reason and required corrections" error={sendBack.error?.at('reason')}>
            <TextArea value={draft.value.reason} onChange={(event) => draft.change({ reason: event.target.value })} />
          </Field>
          <ProblemNotice problem={sendBack.error} shown={['reason', 'stage']} />
          <Button type="submit" look="alarm" busy={sendBack.isPending}>
            Send back
          </Button>
        </form>
      )}
    </section>
  );
}
