import { useState } from 'react';
import { api, told, type Schemas } from '../lib/api';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { Button } from '../ui/Button';
import { ProblemNotice } from '../ui/Notice';
import { Several } from '../ui/Several';
import { useRecipients } from '../ui/useRecipients';

/** Sends a notice to others besides, or once more to whoever has not acknowledged it. */
export function SendNotice({ notice }: { notice: Schemas['IssuedNotice'] }) {
  const { number } = notice;
  const [to, setTo] = useState('');
  const [acknowledge, setAcknowledge] = useState(false);
  const recipients = useRecipients();
  const send = useAct(
    touches.changeNotice,
    (body: Schemas['NoticeSending']) =>
      told(api.POST('/api/change-notices/{number}/sending', { params: { path: { number } }, body })),
    () => setTo(''),
  );
  const waiting = notice.copies.filter((one) => one.acknowledge && one.acknowledged_at === null);
  return (
    <form
      aria-label="Send it"
      className="mt-3 space-y-2"
      onSubmit={(event) => {
        event.preventDefault();
        send.mutate({ to: to.split(','), acknowledge });
      }}
    >
      <ProblemNotice problem={send.error} />
      <div className="flex flex-wrap items-center gap-3">
        <Several label="Recipient" chosen={to} options={recipients} onChange={setTo} none="Nobody chosen" />
        <label className="inline-flex min-h-6 items-center gap-1.5">
          <input type="checkbox" checked={acknowledge} onChange={(event) => setAcknowledge(event.target.checked)} />
          Ask them to acknowledge it
        </label>
        <Button type="submit" disabled={to === ''} busy={send.isPending}>
          Send to these
        </Button>
        {waiting.length > 0 && (
          <Button busy={send.isPending} onClick={() => send.mutate({ to: [], acknowledge: false })}>
            Remind {waiting.length === 1 ? waiting[0]?.person : `all ${waiting.length} who have not acknowledged`}
          </Button>
        )}
      </div>
    </form>
  );
}
