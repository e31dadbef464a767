import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { Link, useParams } from 'react-router';
import { api, ApiProblem, told, type Schemas } from '../lib/api';
import { amount, day, moment } from '../lib/format';
import { queries } from '../lib/queries';
import { useMay } from '../lib/session';
import { useAct } from '../lib/useAct';
import { useDraft } from '../lib/useDraft';
import { Button } from '../ui/Button';
import { DataTable, type Column } from '../ui/DataTable';
import { Field } from '../ui/Field';
import { Input } from '../ui/Input';
import { Notice, ProblemNotice } from '../ui/Notice';
import { ChangeNumber } from '../ui/Num';
import { Page } from '../ui/Page';
import { CutInChart } from './CutInChart';
import { CutInForm } from './CutInForm';
import { DayDocuments, DayParts } from './DayParts';

type Question = Schemas['CutInQuestion'];
type Row = Schemas['CutInDayRow'];
interface Draft extends Record<string, unknown> {
  question: Question;
}

const REST = 200;
const columns: Column<Row>[] = [
  { id: 'on', head: 'Day', text: (r) => r.on, cell: (r) => day(r.on) },
  ...(['leftover', 'cancellation', 'shortage', 'straddling', 'recurring', 'total'] as const).map(
    (name): Column<Row> => ({
      id: name,
      head: {
        leftover: 'Left over',
        cancellation: 'Cancelled',
        shortage: 'Short',
        straddling: 'Under way',
        recurring: 'New against old',
        total: 'Together',
      }[name],
      numeric: true,
      text: (r) => r[name],
      cell: (r) => amount(r[name]),
    }),
  ),
  {
    id: 'disturbed',
    head: 'Orders touched',
    numeric: true,
    text: (r) => String(r.disturbed),
    cell: (r) => r.disturbed,
  },
];

/** The day on which new parts take the place of old ones: what every day costs, and the day that is chosen. */
export function CutInPage() {
  const { number = '' } = useParams();
  const dossier = useQuery(queries.dossier(number));
  const chosen = useQuery(queries.cutIns(number));
  const request = dossier.data?.requests[0];
  return (
    <Page
      title="Cut-in"
      over={
        <span className="flex items-baseline gap-2">
          <ChangeNumber number={number} /> {request?.title}
        </span>
      }
      aside={
        chosen.data?.[0] && (
          <span>
            Chosen: <b className="font-semibold">{day(chosen.data[0].chosen_on)}</b>
          </span>
        )
      }
    >
      {request && chosen.data && (
        <Planner
          number={number}
          state={request.state}
          chosen={chosen.data}
          start={chosen.data[0]?.asked ?? { pairs: [{ old: '', new: '' }] }}
        />
      )}
    </Page>
  );
}

interface PlannerProps {
  number: string;
  state: string;
  chosen: Schemas['CutInChosen'][];
  start: Question;
}

function Planner({ number, state, chosen, start }: PlannerProps) {
  const draft = useDraft<Draft>(`cut-in ${number}`, { question: start });
  const question = draft.value.question;
  const change = (next: Question) => draft.change({ question: next });
  const [asked, setAsked] = useState(question);
  // What is typed rests a moment before it is asked for.
  useEffect(() => {
    const rest = setTimeout(() => setAsked(question), REST);
    return () => clearTimeout(rest);
  }, [question]);
  const ready = asked.pairs.every((pair) => pair.old !== '' && pair.new !== '');
  const plan = useQuery({ ...queries.cutIn(asked), enabled: ready, placeholderData: keepPreviousData });
  const [held, setHeld] = useState<Schemas['CutInPage'] | null>(null);
  const [moved, setMoved] = useState<string | null>(chosen[0]?.chosen_on ?? null);
  const [table, setTable] = useState(false);
  const page = plan.data;
  const problem = plan.error instanceof ApiProblem ? plan.error : null;
  const shown = page?.days.findIndex(({ on }) => on === (moved ?? page.least_cost)) ?? -1;
  const at = Math.max(0, shown);
  const jumps = page
    ? ([
        ['Least cost', page.least_cost],
        ['Least disturbing', page.least_disturbing],
        ['Earliest', page.earliest],
        ['Run-out', page.run_out],
        ['Prescribed', page.prescribed],
      ] as const)
    : [];
  return (
    <div className="grid gap-6 lg:grid-cols-[19rem_minmax(0,1fr)]">
      <CutInForm question={question} onChange={change} problem={problem} />
      <div className="min-w-0 space-y-4">
        {!page && <p className="border-y border-rule py-3 text-soft">Name an old part and the new one in its place.</p>}
        {page && (
          <>
            <Told page={page} />
            <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
              {jumps.map(([name, on]) =>
                on === null ? null : (
                  <button
                    key={name}
                    type="button"
                    className="min-h-6 text-accent hover:underline"
                    onClick={() => setMoved(on)}
                  >
                    {name} {day(on)}
                  </button>
                ),
              )}
              <span className="ml-auto flex gap-2">
                <Button onClick={() => setHeld(held ? null : page)} aria-pressed={held !== null}>
                  {held ? 'Let the held one go' : 'Hold to compare'}
                </Button>
                <Button aria-pressed={table} onClick={() => setTable(!table)}>
                  All days as a table
                </Button>
              </span>
            </div>
            {table ? (
              <DataTable
                label="What each day costs"
                rows={page.days}
                columns={columns}
                keyOf={(row) => row.on}
                onOpen={(row) => setMoved(row.on)}
                empty=""
                exportName="cut-in-days"
              />
            ) : (
              <figure>
                <CutInChart page={page} held={held} at={at} onAt={(next) => setMoved(page.days[next]?.on ?? null)} />
                <figcaption className="mt-1 flex flex-wrap gap-x-6 text-sm text-soft">
                  <span>
                    <span aria-hidden className="mr-2 inline-block w-6 border-t-2 border-warn align-middle" />
                    old part, used until the day
                  </span>
                  <span>
                    <span
                      aria-hidden
                      className="mr-2 inline-block w-6 border-t-2 border-dashed border-accent align-middle"
                    />
                    new part, used from the day, without further orders
                  </span>
                  <span>
                    <span aria-hidden className="mr-2 inline-block w-6 border-t-2 border-ink align-middle" />
                    what each day costs
                  </span>
                  {held && (
                    <span>
                      <span
                        aria-hidden
                        className="mr-2 inline-block w-6 border-t-2 border-dotted border-plum align-middle"
                      />
                      the held plan
                    </span>
                  )}
                </figcaption>
              </figure>
            )}
            <div className="grid gap-4 xl:grid-cols-2">
              <DayParts page={page} held={held} at={at} />
              <Choose number={number} state={state} question={asked} page={page} at={at} />
            </div>
            <DayDocuments
              page={page}
              at={at}
              notCancelled={question.not_cancelled ?? []}
              onLet={(document, let_) => {
                const others = (question.not_cancelled ?? []).filter((one) => one !== document);
                change({ ...question, not_cancelled: let_ ? [...others, document] : others });
              }}
            />
            <details>
              <summary className="cursor-pointer text-accent">What is assumed</summary>
              <dl className="mt-1 grid max-w-xl grid-cols-[1fr_auto_auto] gap-x-4">
                {page.assumptions.map((one) => (
                  <div key={one.what} className="contents">
                    <dt>{one.what}</dt>
                    <dd className="text-right">{one.value}</dd>
                    <dd className="text-sm text-soft">{one.said ? 'said here' : 'assumed'}</dd>
                  </div>
                ))}
              </dl>
            </details>
          </>
        )}
        <ProblemNotice problem={problem} shown={[]} />
        <Chosen chosen={chosen} />
      </div>
    </div>
  );
}

/** What one has to know before trusting the picture. */
function Told({ page }: { page: Schemas['CutInPage'] }) {
  return (
    <>
      {page.fault && (
        <Notice look="warn">
          {page.fault}{' '}
          {page.fetched_at
            ? `Shown is what it said by ${moment(page.fetched_at)}.`
            : 'It has not told us of these items before.'}
        </Notice>
      )}
      {page.earliest === null && (
        <Notice look="warn">No day within a year is possible: it waits for {page.waits_for.join(', ')}.</Notice>
      )}
      {page.against_prescribed && (
        <Notice look="warn">
          {day(page.prescribed)} cannot be kept. {page.against_prescribed}
        </Notice>
      )}
      {page.unknown.length > 0 && (
        <Notice look="warn">Without a standard cost, counted as nothing: {page.unknown.join(', ')}.</Notice>
      )}
    </>
  );
}

interface ChooseProps {
  number: string;
  state: string;
  question: Question;
  page: Schemas['CutInPage'];
  at: number;
}

function Choose({ number, state, question, page, at }: ChooseProps) {
  const may = useMay('assess_request');
  const client = useQueryClient();
  const [reason, setReason] = useState('');
  const on = page.days[at]?.on ?? '';
  const choose = useAct(
    () =>
      told(
        api.POST('/api/requests/{number}/cut-ins', {
          params: { path: { number } },
          body: { ...question, chosen_on: on, reason },
        }),
      ),
    (rows) => {
      setReason('');
      client.setQueryData(queries.cutIns(number).queryKey, rows);
    },
  );
  if (!may) return null;
  if (!['assessing', 'approved'].includes(state)) {
    return (
      <p className="text-soft">
        A day is chosen while the request is being assessed.{' '}
        <Link className="text-accent underline" to={`/changes/${number}`}>
          To its Dossier
        </Link>
      </p>
    );
  }
  return (
    <form
      className="space-y-2"
      onSubmit={(event) => {
        event.preventDefault();
        choose.mutate(undefined);
      }}
    >
      <Field label={`Why ${day(on)}`} error={choose.error?.at('reason') ?? choose.error?.at('chosen_on')}>
        <Input value={reason} onChange={(event) => setReason(event.target.value)} />
      </Field>
      <ProblemNotice problem={choose.error} shown={['reason', 'chosen_on']} />
      <Button type="submit" look="main" busy={choose.isPending}>
        Choose {day(on)}
      </Button>
    </form>
  );
}

function Chosen({ chosen }: { chosen: Schemas['CutInChosen'][] }) {
  if (chosen.length === 0) return null;
  return (
    <section aria-labelledby="chosen">
      <h2 id="chosen" className="mb-1">
        Chosen so far
      </h2>
      <ul className="border-y border-strong bg-sheet">
        {chosen.map((one) => (
          <li key={one.at} className="border-b border-rule px-2 py-1 last:border-b-0">
            <b className="font-semibold">{day(one.chosen_on)}</b> for {amount(one.total)}: {one.reason}{' '}
            <span className="text-sm text-soft">
              {one.by}, {moment(one.at)}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
