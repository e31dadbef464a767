import { useInfiniteQuery } from '@tanstack/react-query';
import clsx from 'clsx';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { api, told, type Schemas } from '../lib/api';
import { count, moment } from '../lib/format';
import { queries } from '../lib/queries';
import { useMay } from '../lib/session';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { reachReasons } from '../lib/words';
import { Button } from '../ui/Button';
import { DataTable, type Column } from '../ui/DataTable';
import { Field } from '../ui/Field';
import { Input } from '../ui/Input';
import { Loading } from '../ui/Loading';
import { ChangeNumber, ItemNumber } from '../ui/Num';
import { ProblemNotice } from '../ui/Notice';
import { Status } from '../ui/Status';
import { Thumbnail } from '../ui/Thumbnail';

type Row = Schemas['ReachRow'];

/** Every row with its reason and path; the coordinator takes rows in or leaves them out, on record. */
export function ReachTable({ number, open }: { number: string; open: boolean }) {
  const [params, setParams] = useSearchParams();
  const reason = params.get('reason') ?? '';
  const reach = useInfiniteQuery(queries.reach(number, reason));
  const [chosen, setChosen] = useState<Row[]>([]);
  const may = useMay('assess_request') && open;
  const columns = may ? [choice(chosen, setChosen), ...reachColumns] : reachColumns;
  return (
    <Loading query={reach}>
      {({ pages }) => {
        const first = pages[0];
        const rows = pages.flatMap((page) => page.rows);
        return (
          <div className="space-y-3">
            <nav aria-label="Reasons" className="flex flex-wrap gap-x-5 gap-y-1 text-sm">
              {[{ reason: '', rows: 0 }, ...(first?.counts ?? [])].map((one) => (
                <button
                  key={one.reason}
                  type="button"
                  aria-pressed={one.reason === reason}
                  className={clsx('target', one.reason === reason ? 'font-semibold' : 'text-accent hover:underline')}
                  onClick={() => setParams(one.reason === '' ? {} : { reason: one.reason }, { replace: true })}
                >
                  {one.reason === ''
                    ? 'Everything'
                    : `${reachReasons[one.reason as keyof typeof reachReasons]}, ${count(one.rows)}`}
                </button>
              ))}
            </nav>
            {may && chosen.length > 0 && <Decide number={number} rows={chosen} onDone={() => setChosen([])} />}
            <DataTable
              label="Reach"
              caption={`${count(first?.total ?? 0)} rows, ${count(first?.decided ?? 0)} of all decided`}
              exportName={`reach-${number}`}
              rows={rows}
              columns={columns}
              keyOf={(row) => row.subject}
              empty="Nothing of that kind is affected."
            />
            {reach.hasNextPage && (
              <Button busy={reach.isFetchingNextPage} onClick={() => void reach.fetchNextPage()}>
                Show more
              </Button>
            )}
          </div>
        );
      }}
    </Loading>
  );
}

function choice(chosen: Row[], setChosen: (rows: Row[]) => void): Column<Row> {
  return {
    id: 'choose',
    head: 'Select',
    silent: true,
    text: () => '',
    cell: (row) =>
      (row.reason !== 'affected' || row.decision !== null) && (
        <input
          type="checkbox"
          aria-label={`Select ${row.number}, ${row.why}`}
          checked={chosen.some((one) => one.subject === row.subject)}
          onChange={(event) =>
            setChosen(event.target.checked ? [...chosen, row] : chosen.filter((one) => one.subject !== row.subject))
          }
        />
      ),
  };
}

const reachColumns: Column<Row>[] = [
  {
    id: 'decision',
    head: 'Decision',
    text: (row) => decided(row),
    cell: (row) =>
      row.decision === null ? (
        <span className="whitespace-nowrap text-soft">{row.reason === 'affected' ? '■ in' : '□ open'}</span>
      ) : (
        <span
          className="whitespace-nowrap"
          title={`${row.decision.by}, ${moment(row.decision.at)}${row.decision.reason === '' ? '' : `: ${row.decision.reason}`}`}
        >
          {row.decision.taken ? '■ in' : '✕ out'}
          <span className="ml-1 text-sm text-soft">{row.decision.by}</span>
        </span>
      ),
  },
  {
    id: 'reason',
    head: 'Reason',
    text: (row) => reachReasons[row.reason],
    cell: (row) => <span className="text-sm whitespace-nowrap">{reachReasons[row.reason]}</span>,
  },
  {
    id: 'number',
    head: 'Number',
    text: (row) => row.number,
    cell: (row) =>
      row.reason === 'open_change' ? (
        <ChangeNumber number={row.number} />
      ) : row.reason === 'plant' ? (
        row.number
      ) : (
        <span className="whitespace-nowrap">
          <Thumbnail file={row.item?.picture ?? null} /> <ItemNumber number={row.number} />
        </span>
      ),
  },
  { id: 'title', head: 'Title', text: (row) => row.title, cell: (row) => row.title },
  {
    id: 'status',
    head: 'Status',
    text: (row) => row.item?.revision ?? '',
    cell: (row) =>
      row.item && (
        <Status
          status={row.item.status}
          revision={row.item.revision}
          coming={row.item.coming}
          revisedBy={row.item.being_revised_by}
        />
      ),
  },
  {
    id: 'why',
    head: 'Reason',
    text: (row) => row.why,
    cell: (row) => (
      <span>
        {row.why}
        {row.decision !== null && row.decision.reason !== '' && (
          <span className="block text-sm text-soft">{row.decision.reason}</span>
        )}
      </span>
    ),
  },
  {
    id: 'path',
    head: 'Path',
    text: (row) => row.path.join(' › '),
    cell: (row) => <span className="font-mono text-[0.8rem]">{row.path.join(' › ')}</span>,
  },
];

function decided(row: Row): string {
  if (row.decision === null) return row.reason === 'affected' ? 'in' : 'open';
  return `${row.decision.taken ? 'in' : 'out'}, ${row.decision.by}`;
}

function Decide({ number, rows, onDone }: { number: string; rows: Row[]; onDone: () => void }) {
  const [reason, setReason] = useState('');
  const decide = useAct(
    touches.reach,
    (taken: boolean | null) =>
      told(
        api.POST('/api/requests/{number}/reach', {
          params: { path: { number } },
          body: {
            subjects: rows.map((row) => row.subject),
            taken,
            reason,
            seen: rows.flatMap((row) => (row.decision === null ? [] : [row.decision.id])),
          },
        }),
      ),
    onDone,
  );
  return (
    <section aria-label="Decide on selected rows" className="border-y border-strong bg-sheet px-3 py-2">
      <div className="flex flex-wrap items-start gap-2">
        <Field
          label={`Reason, for ${rows.length === 1 ? 'one row' : `${rows.length} rows`}`}
          className="w-96"
          error={decide.error?.at('reason')}
        >
          <Input value={reason} onChange={(event) => setReason(event.target.value)} />
        </Field>
        <span className="flex gap-2 pt-5.5">
          <Button look="main" busy={decide.isPending} onClick={() => decide.mutate(true)}>
            Take in
          </Button>
          <Button busy={decide.isPending} onClick={() => decide.mutate(false)}>
            Leave out
          </Button>
          <Button look="quiet" busy={decide.isPending} onClick={() => decide.mutate(null)}>
            Undo decision
          </Button>
        </span>
      </div>
      <ProblemNotice problem={decide.error} shown={['reason']} />
    </section>
  );
}
