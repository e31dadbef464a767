import { api, told, type Schemas } from '../lib/api';
import { useMay } from '../lib/session';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { useDraft } from '../lib/useDraft';
import { Button } from '../ui/Button';
import { Field } from '../ui/Field';
import { TextArea } from '../ui/Input';
import { Notice, ProblemNotice } from '../ui/Notice';
import { OlderDraft } from '../ui/OlderDraft';
import { ChoosePath } from './ChoosePath';
import { JudgeForm } from './JudgeForm';

type Decision = Schemas['Decision']['decision'];

interface Props {
  request: Schemas['RequestData'];
  /** Where it goes on an approval path. */
  judged?: Schemas['JudgedRequest'];
  onDecided?: () => void;
}

/** Records the finding, then the decision with its reason, or what is done on its path. */
export function DecisionForm({ request, judged, onDecided }: Props) {
  const mayAssess = useMay('assess_request');
  const mayDecide = useMay('decide_request');
  const path = { number: request.number };
  const finding = useDraft(`finding ${request.number}`, { finding: request.finding }, request.finding);
  const draft = useDraft(`decision ${request.number}`, { reason: '' });
  const record = useAct(touches.request, () =>
    told(
      api.POST('/api/requests/{number}/finding', {
        params: { path },
        body: { finding: finding.value.finding, version: request.version },
      }),
    ),
  );
  const decide = useAct(
    touches.request,
    (decision: Decision) =>
      told(
        api.POST('/api/requests/{number}/decision', {
          params: { path },
          body: { decision, reason: draft.value.reason, version: request.version },
        }),
      ),
    () => {
      draft.clear();
      onDecided?.();
    },
  );
  const isSigned = judged?.path.steps.some(({ signed }) => signed.length > 0) === true;
  const isOpen = request.state === 'assessing';
  const judges = isOpen && judged !== undefined && (judged.path.signable.length > 0 || judged.may_send_back);
  const decides = isOpen && judged === undefined && mayDecide;
  if (!mayAssess && !decides && !judges)
    return judged === undefined || !isOpen ? <Notice>A coordinator assesses this request.</Notice> : null;

  return (
    <div className="no-print grid max-w-5xl gap-6 md:grid-cols-2">
      {mayAssess && (
        <form
          className="space-y-2"
          onSubmit={(event) => {
            event.preventDefault();
            record.mutate(undefined);
          }}
        >
          <Field
            label="Finding"
            hint="Feasibility, effect, cost, what the specialists said"
            error={record.error?.at('finding')}
          >
            <TextArea
              rows={4}
              value={finding.value.finding}
              onChange={(event) => finding.change({ finding: event.target.value })}
            />
          </Field>
          <OlderDraft
            text={finding.older?.finding}
            onTake={(text) => finding.change({ finding: text })}
            onDrop={finding.clear}
          />
          <ProblemNotice problem={record.error} shown={['finding']} />
          {isSigned && <Notice look="warn">What is signed is of this finding: another one makes it void.</Notice>}
          <Button type="submit" look={request.state === 'assessing' ? 'plain' : 'main'} busy={record.isPending}>
            Save finding
          </Button>
          <ChoosePath request={request} judged={judged} />
        </form>
      )}
      {judges && <JudgeForm judged={judged} {...(onDecided && { onDecided })} />}
      {decides && (
        <div className="space-y-2">
          <Field label="Reason for the decision" error={decide.error?.at('reason')}>
            <TextArea
              rows={4}
              value={draft.value.reason}
              onChange={(event) => draft.change({ reason: event.target.value })}
            />
          </Field>
          <ProblemNotice problem={decide.error} shown={['reason']} />
          <div className="flex gap-2">
            <Button look="main" busy={decide.isPending} onClick={() => decide.mutate('approved')}>
              Approve
            </Button>
            <Button busy={decide.isPending} onClick={() => decide.mutate('returned')}>
              Send back
            </Button>
            <Button look="alarm" busy={decide.isPending} onClick={() => decide.mutate('rejected')}>
              Reject
            </Button>
          </div>
        </div>
      )}
    </div>
  );
}
