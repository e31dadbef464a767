import { api, told, type Schemas } from '../lib/api';
import { count, moment } from '../lib/format';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { Button } from '../ui/Button';
import { ProblemNotice } from '../ui/Notice';

/** When planning's copy was read back last, how far a reading is that is under way, and a new one. */
export function VerificationState({ health }: { health: Schemas['HandoverHealth'] }) {
  const { verification, may } = health;
  const verify = useAct(touches.handover, () => told(api.POST('/api/hand-overs/verification')));
  const cancel = useAct(touches.handover, () => told(api.DELETE('/api/hand-overs/verification')));
  const underWay = verification?.state === 'waiting' || verification?.state === 'running';
  return (
    <>
      <span role="status" className={verification?.state === 'silent' ? 'text-sm text-warn' : 'text-sm text-soft'}>
        {said(verification)}
      </span>
      {may && !underWay && (
        <Button busy={verify.isPending} onClick={() => verify.mutate(undefined)}>
          Verify planning
        </Button>
      )}
      {may && underWay && (
        <Button busy={cancel.isPending} onClick={() => cancel.mutate(undefined)}>
          Cancel
        </Button>
      )}
      <ProblemNotice problem={verify.error ?? cancel.error} />
    </>
  );
}

function said(verification: Schemas['HandoverHealth']['verification']): string {
  if (verification === null) return 'Never verified';
  const when = moment(verification.ended_at ?? verification.asked_at);
  switch (verification.state) {
    case 'waiting':
      return 'Waiting for a worker …';
    case 'running':
      return `Comparing with planning, ${verification.progress} % …`;
    case 'silent':
      return `Not verified on ${when}: ${verification.fault}`;
    case 'cancelled':
      return `Cancelled on ${when}`;
    case 'done':
      return `Verified ${when}: ${count(verification.compared)} rows compared`;
  }
}
