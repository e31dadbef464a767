import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api, told, type Schemas } from '../lib/api';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { useDraft } from '../lib/useDraft';
import { meanings } from '../lib/words';
import { Button } from '../ui/Button';
import { Field } from '../ui/Field';
import { Input, TextArea } from '../ui/Input';
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
  const [password, setPassword] = useState('');
  const [step, setStep] = useState(String(path.signable[0] ?? 0));
  const [stage, setStage] = useState('0');
  const [ticked, setTicked] = useState<string[]>([]);
  const draft = useDraft(`send back ${order.number}`, { reason: '' });
  const navigate = useNavigate();
  const at = { path: { number: order.number } };
  const leave = () => void navigate(`/changes/${order.number}`);
  const here = path.steps[Number(step)];
  const sign = useAct(
    touches.order,
    () =>
      told(
        api.POST('/api/orders/{number}/signature', {
          params: at,
          body: {
            password,
            digest: order.digest,
            ...(ticked.length === 0 ? {} : { checks: ticked }),
            ...(path.code === null ? {} : { step: Number(step) }),
          },
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
  const stepsOf = (one: number) =>
    path.steps
      .filter(({ stage: of }) => of === one)
      .map(({ name }) => name)
      .join(', ');
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
          {path.signable.length > 1 && (
            <Field label="Step" error={sign.error?.at('step')}>
              <Select
                value={step}
                onChange={(next) => {
                  setStep(next);
                  setTicked([]);
                }}
                options={Object.fromEntries(path.signable.map((one) => [String(one), path.steps[one]?.name ?? '']))}
              />
            </Field>
          )}
          {path.code !== null && here !== undefined && (
            <p>
              Your signature means: <b className="font-semibold">{meanings[here.meaning]}</b> ({here.name}).
            </p>
          )}
          {here !== undefined && here.checks.length > 0 && (
            <fieldset>
              <legend className="text-sm font-medium text-soft">Check list</legend>
              {here.checks.map((row) => (
                <label key={row} className="flex min-h-6 items-center gap-1.5">
                  <input
                    type="checkbox"
                    checked={ticked.includes(row)}
                    onChange={(event) =>
                      setTicked(event.target.checked ? [...ticked, row] : ticked.filter((one) => one !== row))
                    }
                  />
                  {row}
                </label>
              ))}
              {sign.error?.at('checks') && <p className="text-sm text-alarm">▸ {sign.error.at('checks')}</p>}
            </fieldset>
          )}
          {here?.with_password !== false && (
            <Field label="Your password" error={sign.error?.at('password')}>
              <Input
                type="password"
                autoComplete="current-password"
                value={password}
                onChange={(event) => setPassword(event.target.value)}
              />
            </Field>
          )}
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
              <Select
                value={stage}
                onChange={setStage}
                options={{
                  '0': 'The editor',
                  ...Object.fromEntries(path.back_to.map((one) => [String(one), stepsOf(one)])),
                }}
              />
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
