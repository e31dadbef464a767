import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { queries } from '../lib/queries';
import { useMay } from '../lib/session';
import { priorities, sites, sources } from '../lib/words';
import { Button } from '../ui/Button';
import { DataTable, type Column } from '../ui/DataTable';
import { Loading } from '../ui/Loading';
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
  const [chosen, setChosen] = useState<string[]>([]);
  const navigate = useNavigate();
  const mayReport = useMay('report_problem');
  const mayAssess = useMay('assess_request');
  const reports = useQuery(queries.reports(Object.fromEntries(params)));
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
  const choose: Column<Schemas['ReportRow']> = {
    id: 'choose',
    head: 'Gather',
    text: () => '',
    cell: (report) => (
      <input
        type="checkbox"
        aria-label={`Gather ${report.number}`}
        checked={chosen.includes(report.number)}
        onClick={(event) => event.stopPropagation()}
        onChange={(event) =>
          setChosen(event.target.checked ? [...chosen, report.number] : chosen.filter((one) => one !== report.number))
        }
      />
    ),
  };
  return (
    <Page
      title="Problem reports"
      over="What was seen going wrong"
      aside={
        mayReport && (
          <Link
            to="/reports/new"
            className="inline-flex h-8 items-center rounded-xs border border-accent bg-accent px-3 font-medium text-on-accent hover:brightness-110"
          >
            Report a problem
          </Link>
        )
      }
    >
      <div className="mb-3 flex flex-wrap gap-2">
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
        {filter('source', 'Every source', sources)}
        {filter('site', 'Every site', sites)}
        {mayAssess && chosen.length > 0 && (
          <span className="ml-auto flex gap-2">
            <Button look="main" onClick={() => void navigate(`/requests/new?reports=${chosen.join(',')}`)}>
              Raise one request for {chosen.length === 1 ? 'it' : `these ${chosen.length}`}
            </Button>
            <Button look="quiet" onClick={() => setChosen([])}>
              None
            </Button>
          </span>
        )}
      </div>
      <Loading query={reports}>
        {(rows) => (
          <DataTable
            label="Problem reports"
            caption={`${rows.length} reports`}
            exportName="reports"
            rows={rows}
            columns={mayAssess ? [choose, ...reportColumns] : reportColumns}
            keyOf={(report) => report.number}
            onOpen={(report) => void navigate(`/reports/${report.number}`)}
            empty="No report is open that reads like this. Take a filter away, or report a problem."
          />
        )}
      </Loading>
    </Page>
  );
}
