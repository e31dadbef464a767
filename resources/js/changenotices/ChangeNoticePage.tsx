import { useQuery } from '@tanstack/react-query';
import { useEffect } from 'react';
import { useParams } from 'react-router';
import { api, told, type Schemas } from '../lib/api';
import { day, moment } from '../lib/format';
import { queries } from '../lib/queries';
import { useMay } from '../lib/session';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { Button } from '../ui/Button';
import { Loading } from '../ui/Loading';
import { ProblemNotice } from '../ui/Notice';
import { ChangeNumber } from '../ui/Num';
import { Page } from '../ui/Page';
import { Copies } from './Copies';
import { NoticeDocument } from './NoticeDocument';
import { SendNotice } from './SendNotice';

type Issued = Schemas['IssuedNotice'];

const formats = { html: 'HTML', pdf: 'PDF', json: 'JSON' } as const;

/** A change notice as it was issued, who has it, and what the reader has to do with it. */
export function ChangeNoticePage() {
  const { number = '' } = useParams();
  const notice = useQuery(queries.changeNotice(number));
  return notice.data ? (
    <Shown notice={notice.data} />
  ) : (
    <Page title={number}>
      <Loading query={notice}>{() => null}</Loading>
    </Page>
  );
}

function Shown({ notice }: { notice: Issued }) {
  const maySend = useMay('release_order');
  const { number, mine } = notice;
  const unopened = mine !== null && mine.opened_at === null;
  const receipt = useAct(touches.changeNotice, () =>
    told(api.POST('/api/change-notices/{number}/receipt', { params: { path: { number } } })),
  );
  const { mutate } = receipt;
  useEffect(() => {
    if (unopened) mutate();
  }, [unopened, mutate]);
  return (
    <Page
      title={notice.title}
      number={number}
      over={
        <span className="flex items-baseline gap-2">
          Change notice {number} of <ChangeNumber number={notice.order} />
        </span>
      }
      aside={
        <span className="no-print flex items-center gap-4">
          {Object.entries(formats).map(([format, name]) => (
            <a
              key={format}
              href={`/api/change-notices/${number}/${format}`}
              download
              className="text-accent underline-offset-3 hover:underline"
            >
              Download {name}
            </a>
          ))}
          <Button onClick={() => window.print()}>Print</Button>
        </span>
      }
    >
      <div className="space-y-6">
        {mine?.acknowledge === true && <Acknowledge notice={notice} />}
        <NoticeDocument content={notice.content} />
        <section aria-labelledby="copies" className="no-print">
          <h2 id="copies" className="mb-1">
            Distribution
          </h2>
          <Copies copies={notice.copies} />
          {maySend && <SendNotice notice={notice} />}
        </section>
        <p className="text-sm text-soft">
          Issued on {moment(notice.issued_at)} by {notice.issued_by}. SHA-256 of the JSON:{' '}
          <span className="font-mono break-all">{notice.sha256}</span>
        </p>
      </div>
    </Page>
  );
}

/** Says that the reader has read it, once. */
function Acknowledge({ notice }: { notice: Issued }) {
  const { number, mine } = notice;
  const acknowledge = useAct(touches.changeNotice, (sha256: string) =>
    told(api.POST('/api/change-notices/{number}/acknowledgement', { params: { path: { number } }, body: { sha256 } })),
  );
  if (mine?.acknowledged_at != null) {
    return (
      <p className="no-print border-y border-rule bg-sheet px-3 py-2">
        You acknowledged it on {moment(mine.acknowledged_at)}.
      </p>
    );
  }
  return (
    <div className="no-print space-y-2 border-y border-strong bg-sheet px-3 py-2">
      <ProblemNotice problem={acknowledge.error} />
      <div className="flex items-center gap-3">
        <Button look="main" busy={acknowledge.isPending} onClick={() => acknowledge.mutate(notice.sha256)}>
          Acknowledge
        </Button>
        <span className={mine?.overdue === true ? 'text-alarm' : 'text-soft'}>
          You are asked to say that you have read this notice
          {mine?.due_on != null && (mine.overdue ? `; ▲ overdue since ${day(mine.due_on)}` : ` by ${day(mine.due_on)}`)}
          .
        </span>
      </div>
    </div>
  );
}
