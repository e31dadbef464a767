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

type Decision = Schemas['Decision']['decision'];

interface Props {
  request: Schemas['RequestData'];
  onDecided?: () => void;
}

/** Records the finding, then the decision with its reason. */
export function DecisionForm({ request, onDecided }: Props) {
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
  if (!mayAssess && !(mayDecide && request.state === 'assessing'))
    return <Notice>A coordinator assesses this request.</Notice>;

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
          <Button type="submit" look={request.state === 'assessing' ? 'plain' : 'main'} busy={record.isPending}>
            Save finding
          </Button>
        </form>
      )}
      {request.state === 'assessing' && mayDecide && (
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
