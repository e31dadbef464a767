import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { api, told, type Schemas } from '../lib/api';
import { day, moment } from '../lib/format';
import { queries } from '../lib/queries';
import { useMay } from '../lib/session';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { states } from '../lib/words';
import { Button } from '../ui/Button';
import { Loading } from '../ui/Loading';
import { ChangeNumber } from '../ui/Num';
import { ProblemNotice } from '../ui/Notice';
import { MainLink } from '../ui/MainLink';
import { Page } from '../ui/Page';
import { BoardMeetings } from './BoardMeetings';
import { Person } from '../ui/Person';
import { Priority } from '../ui/Priority';

type Row = Schemas['MeetingRow'];

/** The list of the board's meeting: what awaits a decision, in an order that can be arranged, and what was decided lately. */
export function MeetingPage() {
  const meeting = useQuery(queries.meeting());
  const mayArrange = useMay('decide_request');
  const arrange = useAct(touches.meeting, (requests: string[]) =>
    told(api.PUT('/api/meeting', { body: { requests } })),
  );
  return (
    <Page
      title="Change board meeting"
      over="Awaiting decision"
      aside={
        meeting.data?.awaiting[0] && (
          <MainLink to={`/changes/${meeting.data.awaiting[0].change.number}/decision?meeting`}>
            Start with the first
          </MainLink>
        )
      }
    >
      <Loading query={meeting}>
        {({ awaiting, decided, meetings }) => {
          const numbers = awaiting.map(({ change }) => change.number);
          const swap = (a: number, b: number) => {
            const next = [...numbers];
            [next[a], next[b]] = [next[b] ?? '', next[a] ?? ''];
            arrange.mutate(next);
          };
          return (
            <div className="space-y-7">
              <BoardMeetings meetings={meetings} />
              <ProblemNotice problem={arrange.error} />
              {awaiting.length === 0 ? (
                <p className="border-y border-rule py-3 text-soft">
                  Nothing awaits a decision. A request comes here when its finding is recorded.
                </p>
              ) : (
                <ol className="border-y border-strong bg-sheet">
                  {awaiting.map((row, at) => (
                    <Awaiting key={row.change.number} row={row} at={at}>
                      {mayArrange && (
                        <span className="no-print flex gap-1">
                          <Button
                            look="quiet"
                            className="!h-6 min-w-7 justify-center !px-1"
                            aria-label={`Earlier: ${row.change.number}`}
                            disabled={at === 0 || arrange.isPending}
                            onClick={() => swap(at, at - 1)}
                          >
                            ↑
                          </Button>
                          <Button
                            look="quiet"
                            className="!h-6 min-w-7 justify-center !px-1"
                            aria-label={`Later: ${row.change.number}`}
                            disabled={at === awaiting.length - 1 || arrange.isPending}
                            onClick={() => swap(at, at + 1)}
                          >
                            ↓
                          </Button>
                        </span>
                      )}
                    </Awaiting>
                  ))}
                </ol>
              )}
              <Decided rows={decided} />
            </div>
          );
        }}
      </Loading>
    </Page>
  );
}

function Awaiting({ row, at, children }: { row: Row; at: number; children: React.ReactNode }) {
  const { change } = row;
  return (
    <li className="flex gap-4 border-t border-rule px-3 py-2 first:border-t-0">
      <span className="w-6 text-right text-soft">{at + 1}</span>
      <span className="w-24">
        <Priority value={change.priority} />
      </span>
      <span className="min-w-0 grow">
        <span className="flex flex-wrap gap-x-3">
          <ChangeNumber number={change.number} />
          <Link to={`/changes/${change.number}/decision?meeting`} className="font-semibold text-accent underline">
            {change.title}
          </Link>
        </span>
        <span className="block max-w-4xl text-sm">{row.finding}</span>
        <span className="block text-sm text-soft">
          {change.site}, raised by <Person name={change.raised_by} />
          {row.cut_in !== null && `, cut-in ${day(row.cut_in)}`}
          {row.path !== null &&
            `, on “${row.path}”${row.judges.length > 0 ? `: ${row.judges.join(', ')} can sign` : ''}`}
          {row.waiting > 0 && `, ${row.waiting} question${row.waiting === 1 ? '' : 's'} not answered yet`}
        </span>
      </span>
      {children}
    </li>
  );
}

function Decided({ rows }: { rows: Row[] }) {
  if (rows.length === 0) return null;
  return (
    <section aria-labelledby="decided">
      <h2 id="decided" className="mb-1">
        Decided in the last seven days
      </h2>
      <ul className="border-y border-strong bg-sheet text-sm">
        {rows.map((row) => (
          <li
            key={row.change.number}
            className="flex flex-wrap gap-x-3 border-t border-rule px-3 py-1 first:border-t-0"
          >
            <ChangeNumber number={row.change.number} />
            <span>{row.change.title}</span>
            <b className="font-semibold">{states[row.change.state === 'ordered' ? 'approved' : row.change.state]}</b>
            <span>{row.decision_reason}</span>
            <span className="ml-auto text-soft">
              <Person name={row.decided_by} />, {moment(row.decided_at)}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
