import { useQuery } from '@tanstack/react-query';
import { api, told } from '../lib/api';
import { queries } from '../lib/queries';
import { useMay } from '../lib/session';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { Button } from '../ui/Button';
import { ProblemNotice } from '../ui/Notice';
import { ChangeNumber } from '../ui/Num';

/** Which change notice a released order has and how far it has come; where none went out, a way to issue it. */
export function NoticeOfOrder({ order }: { order: string }) {
  const mayIssue = useMay('release_order');
  const notice = useQuery(queries.noticeOfOrder(order)).data;
  const issue = useAct(touches.changeNotice, () =>
    told(api.POST('/api/orders/{number}/notice', { params: { path: { number: order } } })),
  );
  if (notice === undefined) return null;
  if (notice.coming) return <p className="text-soft">The change notice is being written…</p>;
  if (notice.number === null) {
    return (
      <div className="space-y-2">
        <ProblemNotice problem={issue.error} />
        <p className="flex items-center gap-3">
          No change notice was issued.
          {mayIssue && (
            <Button busy={issue.isPending} onClick={() => issue.mutate()}>
              Issue the change notice
            </Button>
          )}
        </p>
      </div>
    );
  }
  const waiting = notice.asked - notice.acknowledged;
  return (
    <p>
      Change notice <ChangeNumber number={notice.number} /> sent to{' '}
      {notice.sent === 0 ? 'nobody' : notice.sent === 1 ? 'one person' : `${notice.sent} people`}
      {notice.asked > 0 && `; ${notice.acknowledged} of ${notice.asked} acknowledged`}
      {waiting > 0 && <span className="text-warn">, {waiting} still to acknowledge</span>}.
    </p>
  );
}
