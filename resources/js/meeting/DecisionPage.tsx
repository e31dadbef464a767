import { useInfiniteQuery, useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { Grid } from '../assessment/Grid';
import { Attachments } from '../attachments/Attachments';
import { DecisionForm } from '../requests/DecisionForm';
import { BeforeAfter } from '../orders/BeforeAfter';
import { costOfProducts } from '../orders/costOfProducts';
import { moneyByItem } from '../economics/moneyByItem';
import { Totals } from '../economics/MoneyView';
import { ExposureView } from '../planning/ExposureView';
import type { Schemas } from '../lib/api';
import { amount, count, day, moment } from '../lib/format';
import { queries } from '../lib/queries';
import { RequestFacts } from '../requests/RequestFacts';
import { RequestPath } from '../requests/RequestPath';
import { dispositions, reachReasons, states, supplyKinds } from '../lib/words';
import { nameOf } from '../lib/choices';
import { itemColumns } from '../structures/itemColumns';
import { Button } from '../ui/Button';
import { DataTable } from '../ui/DataTable';
import { Loading } from '../ui/Loading';
import { ChangeNumber } from '../ui/Num';
import { Page } from '../ui/Page';
import { Person } from '../ui/Person';
import { Priority } from '../ui/Priority';

type Request = Schemas['RequestData'];

/** Everything that the board needs to judge a request, on one page that can be printed, and the decision. */
export function DecisionPage() {
  const { number = '' } = useParams();
  const [params] = useSearchParams();
  const navigate = useNavigate();
  const inMeeting = params.has('meeting');
  const dossier = useQuery(queries.dossier(number));
  const meeting = useQuery({ ...queries.meeting(), enabled: inMeeting });
  const others = (meeting.data?.awaiting ?? []).map(({ change }) => change.number).filter((one) => one !== number);
  const next = others[0];
  return (
    <Loading query={dossier}>
      {({ requests, proposals, judged }) => {
        const request = requests.find((one) => one.number === number);
        const onPath = judged.find((one) => one.request === number);
        if (!request) return <p className="p-6">There is no request {number}.</p>;
        return (
          <Page
            title={request.title}
            number={request.number}
            over={
              <span className="flex items-baseline gap-3">
                For decision · <ChangeNumber number={number} />
                {inMeeting && (
                  <Link to="/meeting" className="text-accent underline">
                    Meeting, {others.length} more
                  </Link>
                )}
              </span>
            }
            aside={
              <>
                <Priority value={request.priority} />
                <Button look="quiet" className="no-print" onClick={() => window.print()}>
                  Print
                </Button>
              </>
            }
          >
            <div className="space-y-6">
              <Asked request={request} />
              {proposals.some((one) => one.request === number && one.items.length > 0) && (
                <ProposedLines number={number} />
              )}
              <ReachSummary number={number} />
              <Answers number={number} />
              <section aria-label="Exposure">
                <ExposureView items={request.items.map((item) => item.number)} />
              </section>
              <MoneySummary number={number} />
              <ChosenDay number={number} />
              <Part title="Finding">
                <p className="max-w-3xl whitespace-pre-line">{request.finding || 'No finding is recorded yet.'}</p>
              </Part>
              {onPath && (
                <Part title="Approval path">
                  <RequestPath judged={onPath} open={request.state === 'assessing'} />
                </Part>
              )}
              <Part title="Decision">
                {request.decided_at !== null && !['raised', 'assessing'].includes(request.state) && (
                  <p className="whitespace-pre-line">
                    <b className="font-semibold">{states[request.state === 'ordered' ? 'approved' : request.state]}</b>{' '}
                    by <Person name={request.decided_by} />, {moment(request.decided_at)}: {request.decision_reason}
                  </p>
                )}
                {['raised', 'assessing', 'returned'].includes(request.state) && (
                  <DecisionForm
                    key={number}
                    request={request}
                    {...(onPath && { judged: onPath })}
                    onDecided={() =>
                      inMeeting && void navigate(next === undefined ? '/meeting' : `/changes/${next}/decision?meeting`)
                    }
                  />
                )}
              </Part>
            </div>
          </Page>
        );
      }}
    </Loading>
  );
}

function Part({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section aria-label={title}>
      <h2 className="mb-1">{title}</h2>
      {children}
    </section>
  );
}

function Asked({ request }: { request: Request }) {
  return (
    <div className="space-y-2">
      <RequestFacts request={request} />
      <p className="max-w-3xl whitespace-pre-line">{request.description}</p>
      {request.reports.length > 0 && (
        <ul>
          {request.reports.map((report) => (
            <li key={report.number} className="flex min-h-7 items-center gap-3">
              <ChangeNumber number={report.number} /> {report.title}
              <span className="text-soft">{report.serial}</span>
            </li>
          ))}
        </ul>
      )}
      <DataTable
        label="Affected items"
        rows={request.items}
        columns={itemColumns.slice(0, 5)}
        keyOf={(item) => item.number}
        empty="No item is named."
      />
      <Attachments to={{ request: request.number }} files={request.files} open={false} />
    </div>
  );
}

/** What the request would have, before and after, with what it does to work and cost. */
function ProposedLines({ number }: { number: string }) {
  const review = useQuery(queries.review(number));
  return (
    <Part title="Proposed lines">
      <Loading query={review}>
        {(shown) => (
          <div className="space-y-4">
            <p>
              Cost of a product: <b className="font-semibold">{costOfProducts(shown)}</b>
            </p>
            <BeforeAfter review={shown} />
          </div>
        )}
      </Loading>
    </Part>
  );
}

function ReachSummary({ number }: { number: string }) {
  const reach = useInfiniteQuery(queries.reach(number, '', true));
  return (
    <Part title="Reach">
      <Loading query={reach}>
        {({ pages }) => {
          const decided = pages.flatMap((page) => page.rows);
          return (
            <>
              <p className="flex flex-wrap gap-x-4">
                {(pages[0]?.counts ?? []).map((one) => (
                  <span key={one.reason}>
                    {reachReasons[one.reason]} <b className="font-semibold">{count(one.rows)}</b>
                  </span>
                ))}
                <Link to={`/changes/${number}/reach`} className="no-print text-accent underline">
                  All rows
                </Link>
              </p>
              {decided.length > 0 && (
                <ul className="mt-1 border-y border-rule bg-sheet text-sm">
                  {decided.map((row) => (
                    <li key={row.subject} className="flex gap-3 border-t border-rule px-2 py-0.5 first:border-t-0">
                      <span className="w-10">{row.decision?.taken ? '■ in' : '✕ out'}</span>
                      <span className="font-mono">{row.number}</span> {row.title}
                      <span className="ml-auto text-soft">
                        {row.decision?.reason} {row.decision?.by}
                      </span>
                    </li>
                  ))}
                </ul>
              )}
            </>
          );
        }}
      </Loading>
    </Part>
  );
}

function Answers({ number }: { number: string }) {
  const asked = useQuery(queries.questions(number));
  return (
    <Part title="Specialist answers">
      <Loading query={asked}>
        {(page) => (
          <>
            <Grid grid={page.grid} />
            <ul className="mt-1">
              {page.questions
                .filter(({ state }) => state !== 'withdrawn')
                .map((one) => (
                  <li key={one.id} className="border-t border-rule py-1 first:border-t-0">
                    <span className="font-mono text-sm">{one.item}</span> {nameOf('function', one.function)}: {one.text}{' '}
                    {one.state === 'waiting' ? (
                      <span className="text-warn">
                        {one.asked} has not answered, due {day(one.due_on)}
                      </span>
                    ) : (
                      <b className="font-semibold">
                        {one.state === 'no_effect' && 'No effect. '}
                        {one.answer}
                      </b>
                    )}{' '}
                    <span className="text-sm text-soft">{one.answered_by}</span>
                  </li>
                ))}
            </ul>
          </>
        )}
      </Loading>
    </Part>
  );
}

function MoneySummary({ number }: { number: string }) {
  const money = useQuery(queries.money(number));
  return (
    <Part title="Dispositions and cost">
      <Loading query={money}>
        {(page) => (
          <div className="space-y-2">
            <Totals page={page} />
            <ul className="text-sm">
              {page.dispositions.map((row) => (
                <li key={`${row.item} ${row.kind}`}>
                  <span className="font-mono">{row.item}</span> {supplyKinds[row.kind as keyof typeof supplyKinds]},{' '}
                  {row.quantity} {row.unit}: {dispositions[row.disposition]}, {amount(row.cost)}
                </li>
              ))}
              {page.one_time
                .filter((row) => row.figure != null)
                .map((row) => (
                  <li key={`${row.item} ${row.what}`}>
                    {row.item !== '' && <span className="font-mono">{row.item}</span>} {row.what}: {amount(row.amount)}
                  </li>
                ))}
            </ul>
            <DataTable
              label="By item"
              rows={page.by_item}
              columns={moneyByItem}
              keyOf={(row) => row.item}
              empty="No item is affected."
            />
            <Link to={`/changes/${number}/money`} className="no-print text-accent underline">
              All rows and assumptions
            </Link>
          </div>
        )}
      </Loading>
    </Part>
  );
}

function ChosenDay({ number }: { number: string }) {
  const chosen = useQuery(queries.cutIns(number));
  const last = chosen.data?.[0];
  return (
    <Part title="Day to cut in">
      {last ? (
        <p>
          <b className="font-semibold">{day(last.chosen_on)}</b>, {amount(last.total || '0')} over the year from then:{' '}
          {last.reason}{' '}
          <span className="text-soft">
            {last.by}, {moment(last.at)}
          </span>
        </p>
      ) : (
        <p className="text-soft">No cut-in day chosen yet.</p>
      )}
      <Link to={`/changes/${number}/cut-in`} className="no-print text-accent underline">
        The cut-in plan
      </Link>
    </Part>
  );
}
