import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useParams, useSearchParams } from 'react-router';
import { api, ApiProblem, told, type Schemas } from '../../lib/api';
import { count, moment } from '../../lib/format';
import { queries } from '../../lib/queries';
import { touches } from '../../lib/touches';
import { useAct } from '../../lib/useAct';
import { Button } from '../../ui/Button';
import { ChangePicker } from '../../ui/ChangePicker';
import { DataTable, type Column } from '../../ui/DataTable';
import { Details } from '../../ui/Details';
import { Loading } from '../../ui/Loading';
import { Notice, ProblemNotice } from '../../ui/Notice';
import { ChangeNumber } from '../../ui/Num';
import { Page } from '../../ui/Page';
import { ConsequenceStrip } from '../ConsequenceStrip';
import { useStrokeUndo } from '../useStrokeUndo';
import { Targets } from './Targets';
import { decided, fits, isOpen, structureOf, transferColumns, type Decisions, type Row } from './transferColumns';
import { waysOf, written, type Way } from './ways';

type Transfer = Schemas['TransferPage'];

/** Carries what an order does over to sibling products and other plants; whatever does not simply fit is decided by a person. */
export function TransferPage() {
  const { number = '' } = useParams();
  const [params, setParams] = useSearchParams();
  const [to, into] = [params.get('to') ?? '', params.get('into') ?? ''];
  const transfer = useQuery(queries.transfer(number, to, into));
  const problem = transfer.error instanceof ApiProblem ? transfer.error : null;
  const set = (name: 'to' | 'into', value: string) =>
    setParams(
      (before) => {
        if (value === '') before.delete(name);
        else before.set(name, value);
        return before;
      },
      { replace: true },
    );
  return (
    <>
      <Page
        title="Carry over to siblings"
        number={number}
        over={
          <>
            what <ChangeNumber number={number} /> {transfer.data?.order_title} does
          </>
        }
      >
        <ProblemNotice problem={problem} />
        {problem !== null && to !== '' && <Button onClick={() => set('to', '')}>Choose again</Button>}
        {problem === null && (
          <Loading query={transfer}>
            {(page) => <TransferView page={page} ways={waysOf(to)} stale={transfer.isPlaceholderData} set={set} />}
          </Loading>
        )}
      </Page>
      {transfer.data && transfer.data.may_transfer === null && <ConsequenceStrip order={transfer.data.into} />}
    </>
  );
}

interface ViewProps {
  page: Transfer;
  ways: Way[];
  /** What is shown is still of the choice before. */
  stale: boolean;
  set: (name: 'to' | 'into', value: string) => void;
}

function TransferView({ page, ways, stale, set }: ViewProps) {
  const [decisions, setDecisions] = useState<Decisions>({});
  const [made, setMade] = useState<{ stroke: string; into: string; rows: number } | null>(null);
  const taken = page.rows.filter((row) => decided(row, decisions) === true).length;
  const open = page.rows.filter((row) => decided(row, decisions) === null).length;
  const carry = useAct(touches.order, () =>
    told(
      api.POST('/api/orders/{number}/transfer', {
        params: { path: { number: page.order } },
        body: {
          into: page.into,
          to: written(ways),
          decisions: page.rows.flatMap((row) => {
            const decision = decided(row, decisions);
            return decision === null || !isOpen(row) ? [] : [{ row: row.key, taken: decision }];
          }),
        },
      }),
    ).then((done) => setMade({ stroke: done.stroke, into: page.into, rows: taken })),
  );
  const undo = useStrokeUndo(made?.into ?? '', () => setMade(null));
  const may = page.may_transfer === null;
  const decide = (rows: Row[], taken: boolean, others: Decisions = {}) =>
    setDecisions((before) => ({
      ...before,
      ...others,
      ...Object.fromEntries(rows.filter(isOpen).map((row) => [row.key, taken])),
    }));
  if (page.sources.length === 0)
    return (
      <p className="text-soft">
        <ChangeNumber number={page.order} /> changes no lines yet: there is nothing to carry over.
      </p>
    );
  return (
    <div className="space-y-3">
      <div className="max-h-64 overflow-auto border-y border-rule bg-sheet px-3">
        {page.sources.map((source) => (
          <Targets
            key={`${source.item} ${source.work}`}
            source={source}
            ways={ways}
            onAdd={(target) => set('to', written([...ways, { source: `${source.item} ${source.work}`, target }]))}
            onRemove={(target) =>
              set(
                'to',
                written(ways.filter((way) => way.target !== target || way.source !== `${source.item} ${source.work}`)),
              )
            }
          />
        ))}
      </div>
      <div className="flex items-center gap-3">
        <span>
          Into <ChangeNumber number={page.into} />
        </span>
        <ChangePicker
          className="w-80"
          label="Another order that gets them"
          placeholder="Another order open for revision"
          types={['order']}
          fits={(one) => one.state === 'revising'}
          onPick={(one) => set('into', one.number === page.order ? '' : one.number)}
        />
      </div>
      {made && (
        <Notice look="good">
          {count(made.rows)} {made.rows === 1 ? 'edit' : 'edits'} carried over into {made.into}.{' '}
          <Button look="quiet" busy={undo.isPending} onClick={() => undo.mutate(made.stroke)}>
            Undo
          </Button>
        </Notice>
      )}
      <ProblemNotice problem={carry.error ?? undo.error} />
      {page.may_transfer !== null && <Notice>{page.may_transfer}</Notice>}
      {page.rows.length > 0 && (
        <>
          <div className="flex items-center gap-3">
            {may && (
              <Button
                look="main"
                busy={carry.isPending}
                disabled={open > 0 || taken === 0 || stale}
                onClick={() => carry.mutate(undefined)}
              >
                {open > 0
                  ? `Carry over: ${count(open)} still to decide`
                  : `Carry over ${count(taken)} ${taken === 1 ? 'edit' : 'edits'}`}
              </Button>
            )}
            <span role="status" className="flex gap-4">
              {(Object.keys(fits) as (keyof typeof fits)[]).map((fit) => {
                const many = page.rows.filter((row) => row.fit === fit).length;
                return many === 0 ? null : (
                  <span key={fit} className={fits[fit].look}>
                    {fits[fit].sign} {fits[fit].word} {count(many)}
                  </span>
                );
              })}
            </span>
          </div>
          <DataTable
            label="Edits in the siblings"
            exportName={`transfer-of-${page.order}`}
            rows={page.rows}
            columns={transferColumns(
              decisions,
              may ? (row, yes) => setDecisions((before) => ({ ...before, [row.key]: yes })) : null,
            )}
            keyOf={(row) => row.key}
            rowHeight={page.rows.length > 200 ? 30 : null}
            empty=""
            {...(may && {
              acts: (rows: Row[], clear: () => void) => {
                const then = (does: () => void) => () => {
                  does();
                  clear();
                };
                return (
                  <>
                    <Button look="quiet" onClick={then(() => decide(rows, true))}>
                      Carry over
                    </Button>
                    <Button look="quiet" onClick={then(() => decide(rows, false))}>
                      Leave out
                    </Button>
                    <Button
                      look="quiet"
                      onClick={then(() =>
                        decide(rows, true, Object.fromEntries(page.rows.filter(isOpen).map((row) => [row.key, false]))),
                      )}
                    >
                      Carry over only these
                    </Button>
                  </>
                );
              },
              caption: `${count(page.rows.length)} edits`,
            })}
          />
        </>
      )}
      {page.log.length > 0 && (
        <Details summary={`Carried over before: ${count(page.log.length)}`}>
          {page.log.map((one) => (
            <Log key={one.stroke} one={one} />
          ))}
        </Details>
      )}
    </div>
  );
}

type LogRow = Transfer['log'][number]['rows'][number];

const logColumns: Column<LogRow>[] = [
  { id: 'what', head: 'Edit', text: ({ what }) => what, cell: ({ what }) => what },
  {
    id: 'from',
    head: 'From',
    text: ({ source }) => source,
    cell: ({ source }) => `${structureOf(source).item}, ${structureOf(source).where}`,
  },
  {
    id: 'to',
    head: 'To',
    text: ({ target }) => target,
    cell: ({ target }) => `${structureOf(target).item}, ${structureOf(target).where}`,
  },
  { id: 'fit', head: 'Fit', text: ({ fit }) => fits[fit].word, cell: ({ fit }) => fits[fit].word },
  { id: 'reason', head: 'Why', text: ({ reason }) => reason, cell: ({ reason }) => reason },
  {
    id: 'taken',
    head: 'Carried over',
    text: ({ taken }) => (taken ? 'yes' : 'no'),
    cell: ({ taken }) => (taken ? 'yes' : 'no'),
  },
];

function Log({ one }: { one: Transfer['log'][number] }) {
  return (
    <section className="mt-2">
      <p className="text-sm">
        <ChangeNumber number={one.from} /> → <ChangeNumber number={one.into} />, {one.by}, {moment(one.at)}
      </p>
      <DataTable
        label={`Carried over ${moment(one.at)}`}
        rows={one.rows}
        columns={logColumns}
        keyOf={(row) => `${row.source} ${row.target} ${row.what}`}
        rowHeight={null}
        empty=""
      />
    </section>
  );
}
