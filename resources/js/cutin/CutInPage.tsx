import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useMemo, useState } from 'react';
import { useParams } from 'react-router';
import { ApiProblem, type Schemas } from '../lib/api';
import { day } from '../lib/format';
import { queries } from '../lib/queries';
import { useDraft } from '../lib/useDraft';
import { Button } from '../ui/Button';
import { DataTable } from '../ui/DataTable';
import { Details } from '../ui/Details';
import { Loading } from '../ui/Loading';
import { LongWait } from '../ui/LongWait';
import { Notice, ProblemNotice } from '../ui/Notice';
import { ChangeNumber } from '../ui/Num';
import { Page } from '../ui/Page';
import { ChooseDay } from './ChooseDay';
import { ChosenDays } from './ChosenDays';
import { CutInChart } from './CutInChart';
import { CutInForm } from './CutInForm';
import { dayColumns } from './dayColumns';
import { DayDocuments } from './DayDocuments';
import { DayParts } from './DayParts';
import { Trust } from './Trust';
import { wholePairs } from './wholePairs';

type Question = Schemas['CutInQuestion'];
interface Draft extends Record<string, unknown> {
  question: Question;
}

/** Milliseconds. */
const REST = 200;

/** The day on which new parts take the place of old ones: what every day costs, and the day that is chosen. */
export function CutInPage() {
  const { number = '' } = useParams();
  const dossier = useQuery(queries.dossier(number));
  const chosen = useQuery(queries.cutIns(number));
  const start = useQuery(queries.cutInStart(number));
  const request = dossier.data?.requests[0];
  return (
    <Page
      title="Cut-in"
      number={number}
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
      <Loading query={chosen}>
        {(days) => (
          <Loading query={start}>
            {(named) =>
              request && (
                <Planner
                  number={number}
                  state={request.state}
                  chosen={days}
                  start={days[0]?.asked ?? { pairs: pairsOf(named) }}
                />
              )
            }
          </Loading>
        )}
      </Loading>
    </Page>
  );
}

/** The pairs that the change itself names; where it names none, one to be filled in. */
function pairsOf(start: Schemas['CutInStart']): Question['pairs'] {
  return start.pairs.length === 0
    ? [{ old: '', new: '' }]
    : start.pairs.map(({ old, new: next, ratio }) => ({ old, new: next, ...(ratio === null ? {} : { ratio }) }));
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
  const [rested, setRested] = useState(question);
  // What is typed rests a moment before it is asked for.
  useEffect(() => {
    const rest = setTimeout(() => setRested(question), REST);
    return () => clearTimeout(rest);
  }, [question]);
  const asked = useMemo(() => wholePairs(rested), [rested]);
  const ready = asked.pairs.length > 0;
  const plan = useQuery({ ...queries.cutIn(asked), enabled: ready, placeholderData: keepPreviousData });
  const client = useQueryClient();
  const stopped = ready && !plan.isFetching && (plan.isPending || plan.isPlaceholderData);
  const [held, setHeld] = useState<Schemas['CutInPage'] | null>(null);
  const [moved, setMoved] = useState<string | null>(chosen[0]?.chosen_on ?? null);
  const [table, setTable] = useState(false);
  // While a lever is refused, the last answer stays in sight.
  const [last, setLast] = useState<Schemas['CutInPage'] | undefined>(undefined);
  if (plan.data !== undefined && plan.data !== last) setLast(plan.data);
  const page = plan.data ?? last;
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
      <CutInForm
        question={question}
        onChange={change}
        problem={problem}
        assumed={Object.fromEntries<string>(
          (page?.assumptions ?? []).map(({ lever, value }) => [lever ?? '', value] as const),
        )}
      />
      <div className="min-w-0 space-y-4">
        {!page && !ready && (
          <p className="border-y border-rule py-3 text-soft">
            Choose the new part of at least one pair. Pairs without a new part are left out.
          </p>
        )}
        {plan.isFetching && (
          <LongWait
            key={JSON.stringify(asked)}
            doing="Reading planning data and exploding demand."
            onStop={() => void client.cancelQueries({ queryKey: queries.cutIn(asked).queryKey })}
          />
        )}
        {stopped && (
          <Notice>
            Stopped. {page ? 'Showing the previous plan.' : 'No plan has been made.'}{' '}
            <Button look="quiet" className="!h-6" onClick={() => void plan.refetch()}>
              Ask again
            </Button>
          </Notice>
        )}
        {page && (
          <>
            <Trust page={page} question={asked} />
            <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
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
                  {held ? 'Stop comparing' : 'Compare with other days'}
                </Button>
                <Button aria-pressed={table} onClick={() => setTable(!table)}>
                  Table
                </Button>
              </span>
            </div>
            {table ? (
              <DataTable
                label="What each day costs"
                rows={page.days}
                columns={dayColumns}
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
                      the plan compared
                    </span>
                  )}
                </figcaption>
              </figure>
            )}
            <div className="grid gap-4 2xl:grid-cols-2">
              <DayParts question={asked} page={page} held={held} at={at} />
              <ChooseDay number={number} state={state} question={asked} page={page} at={at} />
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
            <Details summary="Assumptions">
              <dl className="mt-1 grid max-w-xl grid-cols-[1fr_auto_auto] gap-x-4">
                {page.assumptions.map((one) => (
                  <div key={one.what} className="contents">
                    <dt>{one.what}</dt>
                    <dd className="text-right">{one.value}</dd>
                    <dd className="text-sm text-soft">{one.said ? 'entered' : 'assumed'}</dd>
                  </div>
                ))}
              </dl>
            </Details>
          </>
        )}
        <ProblemNotice
          problem={problem}
          shown={Object.keys(problem?.errors ?? {}).filter((place) => place !== 'pairs')}
        />
        {/* Below the plan, so that it does not move when that arrives. */}
        {(page !== undefined || !ready || problem !== null) && <ChosenDays chosen={chosen} />}
      </div>
    </div>
  );
}
