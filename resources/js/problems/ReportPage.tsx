import { useQuery } from '@tanstack/react-query';
import { useEffect } from 'react';
import { useParams } from 'react-router';
import { Attachments } from '../attachments/Attachments';
import { References } from '../attachments/References';
import { LedgerTable } from '../register/LedgerTable';
import { changeColumns } from '../register/changeColumns';
import type { Schemas } from '../lib/api';
import { moment } from '../lib/format';
import { queries } from '../lib/queries';
import { remember } from '../lib/recent';
import { nameOf } from '../lib/choices';
import { states } from '../lib/words';
import { itemColumns } from '../structures/itemColumns';
import { Details } from '../ui/Details';
import { DataTable } from '../ui/DataTable';
import { Facts } from '../ui/Facts';
import { Loading } from '../ui/Loading';
import { ChangeNumber } from '../ui/Num';
import { Notice } from '../ui/Notice';
import { Page } from '../ui/Page';
import { Person } from '../ui/Person';
import { Priority } from '../ui/Priority';
import { Discussion } from '../discussion/Discussion';
import { WatchButton } from '../notices/WatchButton';
import { RelationsLink } from '../relations/RelationsLink';
import { ReportActs } from './ReportActs';
import { reportColumns } from './reportColumns';

/** One problem report: what was seen, what it is linked to, and what is done about it. */
export function ReportPage() {
  const { number = '' } = useParams();
  const report = useQuery(queries.report(number));
  return <Loading query={report}>{(page) => <ReportView key={`${number} ${page.version}`} page={page} />}</Loading>;
}

function ReportView({ page }: { page: Schemas['ReportPage'] }) {
  const { report } = page;
  useEffect(
    () => remember(`/reports/${report.number}`, `${report.number} ${report.title}`),
    [report.number, report.title],
  );
  const open = report.state === 'open' || report.state === 'returned';
  return (
    <Page
      title={report.title}
      number={report.number}
      over={
        <span className="flex items-baseline gap-2">
          Problem report · <span className="font-mono">{report.number}</span>
          {report.requests.map((request) => (
            <span key={request} className="flex items-baseline gap-2">
              <span aria-hidden="true">→</span>
              <ChangeNumber number={request} />
            </span>
          ))}
        </span>
      }
      aside={
        <>
          <WatchButton number={report.number} />
          <RelationsLink number={report.number} />
          <Priority value={report.severity} />
        </>
      }
    >
      <div className="grid gap-8 print:block lg:grid-cols-[minmax(0,1fr)_22rem]">
        <div className="space-y-5">
          <Facts
            facts={[
              ['Raised by', <Person key="by" name={report.raised_by} />],
              ['On', moment(report.raised_at)],
              ['Source', nameOf('source', report.source)],
              ['Site', nameOf('site', report.site)],
              ['Serial or lot', report.serial || '—'],
              ['State', states[report.state] ?? report.state],
            ]}
          />
          <p className="max-w-3xl whitespace-pre-line">{page.description}</p>
          {report.state === 'answered' && (
            <Notice>
              Answered by <Person name={page.settled_by} />, {moment(page.settled_at)}: {page.answer}
            </Notice>
          )}
          {report.state === 'returned' && (
            <Notice look="warn">
              <Person name={page.settled_by} /> asks: {page.answer}
            </Notice>
          )}
          {page.same_as !== null && (
            <Notice>
              Duplicate of <ChangeNumber number={page.same_as} />, which is dealt with.
            </Notice>
          )}
          <DataTable
            label="Affected items"
            rows={page.items}
            columns={itemColumns.slice(0, 5)}
            keyOf={(item) => item.number}
            empty="No item is named; the serial number says which unit it is."
          />
          <Attachments to={{ report: report.number }} files={page.files} open={open || report.state === 'gathered'} />
          <References of={report.number} />
          {page.requests.length > 0 && (
            <section aria-labelledby="requests">
              <h2 id="requests" className="mb-1">
                Requests
              </h2>
              <DataTable
                label="Requests"
                rows={page.requests}
                columns={changeColumns.slice(0, 5)}
                keyOf={(change) => change.number}
                empty=""
              />
            </section>
          )}
          {page.duplicates.length > 0 && (
            <section aria-labelledby="same">
              <h2 id="same" className="mb-1">
                Duplicates
              </h2>
              <DataTable
                label="Duplicates"
                rows={page.duplicates}
                columns={reportColumns.slice(0, 7)}
                keyOf={(one) => one.number}
                empty=""
              />
            </section>
          )}
          <Discussion numbers={[report.number]} />
          <Details
            summary={`Who did what, ${page.ledger.length === 1 ? 'one entry' : `${page.ledger.length} entries`}`}
          >
            <LedgerTable rows={page.ledger} />
          </Details>
        </div>
        <ReportActs page={page} />
      </div>
    </Page>
  );
}
