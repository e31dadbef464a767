import { Link, useNavigate, useSearchParams } from 'react-router';
import { count } from '../lib/format';
import { queries } from '../lib/queries';
import { useMay } from '../lib/session';
import { usePaged } from '../lib/usePaged';
import { allOf } from '../lib/choices';
import { priorities } from '../lib/words';
import { DataTable } from '../ui/DataTable';
import { Loading } from '../ui/Loading';
import { MainLink } from '../ui/MainLink';
import { Page } from '../ui/Page';
import { SearchInput } from '../ui/SearchInput';
import { Select } from '../ui/Select';
import type { Schemas } from '../lib/api';
import { reportColumns } from './reportColumns';

const ANY = 'any';
const shows = { open: 'Open', settled: 'Settled', all: 'Open and settled' };

/** All problem reports; those that are one problem are chosen and raised as one request. */
export function ReportsPage() {
  const [params, setParams] = useSearchParams();
  const navigate = useNavigate();
  const mayReport = useMay('report_problem');
  const mayAssess = useMay('assess_request');
  const reports = usePaged(queries.reports(Object.fromEntries(params)));
  const set = (name: string, value: string) =>
    setParams(
      (before) => {
        if (value === '' || value === ANY) before.delete(name);
        else before.set(name, value);
        return before;
      },
      { replace: true },
    );
  const filter = (name: string, label: string, options: Record<string, string>) => (
    <Select
      aria-label={label}
      className="!w-44"
      value={params.get(name) ?? ANY}
      onChange={(value) => set(name, value)}
      options={{ [ANY]: label, ...options }}
    />
  );
  return (
    <Page
      title="Problem reports"
      over="Reported problems"
      aside={mayReport && <MainLink to="/reports/new">Report a problem</MainLink>}
    >
      <div className="no-print mb-3 flex flex-wrap gap-2">
        <SearchInput
          label="Words, number or serial number"
          initial={params.get('words') ?? ''}
          className="!w-64"
          onWords={(words) => set('words', words)}
        />
        <Select
          aria-label="Open or settled"
          className="!w-44"
          value={params.get('show') ?? 'open'}
          onChange={(value) => set('show', value === 'open' ? '' : value)}
          options={shows}
        />
        {filter('severity', 'Every severity', priorities)}
        {filter('source', 'Every source', allOf('source'))}
        {filter('site', 'Every site', allOf('site'))}
      </div>
      <Loading query={reports.query}>
        {(rows) => (
          <DataTable
            label="Problem reports"
            caption={reports.total === 1 ? '1 report' : `${count(reports.total)} reports`}
            sortParam="sort"
            paged={reports.paged}
            exportName="reports"
            rows={rows}
            columns={reportColumns}
            {...(mayAssess
              ? {
                  acts: (chosen: Schemas['ReportRow'][]) => (
                    <Link
                      className="target text-accent underline-offset-3 hover:underline"
                      to={`/requests/new?reports=${chosen.map(({ number }) => number).join(',')}`}
                    >
                      Raise one request for {chosen.length === 1 ? 'it' : `these ${chosen.length}`}
                    </Link>
                  ),
                }
              : {})}
            keyOf={(report) => report.number}
            onOpen={(report) => void navigate(`/reports/${report.number}`)}
            empty="No report matches. Remove a filter, or report a problem."
          />
        )}
      </Loading>
    </Page>
  );
}
