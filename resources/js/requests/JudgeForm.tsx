import { useState } from 'react';
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
  judged: Schemas['JudgedRequest'];
  onDecided?: () => void;
}

/** Signs a step of the path of a request, sends the request back or rejects it. A signature covers what was on screen, and nothing else. */
export function JudgeForm({ judged, onDecided }: Props) {
  const { path } = judged;
  const signing = useSigning(path);
  const [stage, setStage] = useState('0');
  const draft = useDraft(`decision ${judged.request}`, { reason: '' });
  const { reason } = draft.value;
  const params = { path: { number: judged.request } };
  const done = () => {
    draft.clear();
    signing.setPassword('');
    onDecided?.();
  };
  const sign = useAct(
    touches.request,
    () =>
      told(
        api.POST('/api/requests/{number}/path/signature', {
          params,
          body: { ...signing.body, digest: judged.digest, reason },
        }),
      ),
    done,
  );
  const sendBack = useAct(
    touches.request,
    () => told(api.POST('/api/requests/{number}/path/sent-back', { params, body: { reason, stage: Number(stage) } })),
    done,
  );
  const reject = useAct(
    touches.request,
    () => told(api.POST('/api/requests/{number}/path/rejection', { params, body: { reason } })),
    done,
  );
  const asked = path.signable.length > 0;
  const acts = [sign, sendBack, reject];
  const busy = acts.some(({ isPending }) => isPending);
  const problem = acts.find(({ error }) => error !== null)?.error ?? null;
  const only = (act: { mutate: (nothing: undefined) => void }) => {
    acts.forEach((one) => one.reset());
    act.mutate(undefined);
  };
  return (
    <form
      aria-label="Judge the request"
      className="space-y-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (asked) only(sign);
      }}
    >
      <Field
        label="Reason"
        hint={asked ? 'May be empty with a signature; needed to send back or reject' : undefined}
        error={problem?.at('reason')}
      >
        <TextArea rows={4} value={reason} onChange={(event) => draft.change({ reason: event.target.value })} />
      </Field>
      {asked && <StepToSign path={path} signing={signing} error={(field) => sign.error?.at(field)} />}
      {path.back_to.length > 0 && (
        <Field label="Sent back to" error={sendBack.error?.at('stage')}>
          <Select value={stage} onChange={setStage} options={backTo(path, 'Whoever raised it')} />
        </Field>
      )}
      <ProblemNotice problem={problem} shown={['reason', 'password', 'step', 'checks', 'stage']} />
      <div className="flex gap-2">
        {asked && (
          <Button type="submit" look="main" busy={busy}>
            Sign
          </Button>
        )}
        <Button busy={busy} onClick={() => only(sendBack)}>
          Send back
        </Button>
        {asked && (
          <Button look="alarm" busy={busy} onClick={() => only(reject)}>
            Reject
          </Button>
        )}
      </div>
    </form>
  );
}
