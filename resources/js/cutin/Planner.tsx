import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useMemo, useState } from 'react';
import { ApiProblem, type Schemas } from '../lib/api';
import { count } from '../lib/format';
import { queries } from '../lib/queries';
import { useDraft } from '../lib/useDraft';
import { Button } from '../ui/Button';
import { DataTable } from '../ui/DataTable';
import { Details } from '../ui/Details';
import { LongWait } from '../ui/LongWait';
import { Notice, ProblemNotice } from '../ui/Notice';
import { usePrinting } from '../ui/usePrinting';
import { Assumptions } from './Assumptions';
import { BestDays } from './BestDays';
import { ChanceTable } from './ChanceTable';
import { ChooseDay } from './ChooseDay';
import { ChosenDays } from './ChosenDays';
import { Curves } from './Curves';
import { CutInForm } from './CutInForm';
import { dayColumns } from './dayColumns';
import { DayDocuments } from './DayDocuments';
import { DayParts } from './DayParts';
import { HingeTable } from './HingeTable';
import { PlanOnPaper } from './PlanOnPaper';
import { isReady, whole, type Question } from './question';
import { ToDoTable } from './ToDoTable';
import { Trust } from './Trust';

interface Draft extends Record<string, unknown> {
  question: Question;
}

interface Props {
  number: string;
  state: string;
  chosen: Schemas['CutInChosen'][];
  named: Schemas['CutInStart'];
  start: Question;
}

/** Milliseconds. */
const REST = 200;

const readOff: Record<Schemas['CutInStart']['read_off'], string> = {
  order: 'Read off the edits of the order.',
  proposal: 'Read off the proposal of the request.',
  items: 'Neither an order nor a proposal says what comes: name it here.',
};

/** Turns levers and looks at days until one is chosen. */
export function Planner({ number, state, chosen, named, start }: Props) {
  const draft = useDraft<Draft>(`cut-in plan ${number}`, { question: start });
  const question = draft.value.question;
  const change = (next: Question) => draft.change({ question: next });
  const [rested, setRested] = useState(question);
  // What is typed rests a moment before it is asked for.
  useEffect(() => {
    const rest = setTimeout(() => setRested(question), REST);
    return () => clearTimeout(rest);
  }, [question]);
  const asked = useMemo(() => whole(rested), [rested]);
  const ready = isReady(rested);
  const plan = useQuery({ ...queries.cutIn(asked), enabled: ready, placeholderData: keepPreviousData });
  const client = useQueryClient();
  const stopped = ready && !plan.isFetching && (plan.isPending || plan.isPlaceholderData);
  const printing = usePrinting();
  const [held, setHeld] = useState<Schemas['CutInPage'] | null>(null);
  const [moved, setMoved] = useState<string | null>(chosen[0]?.chosen_on ?? null);
  const [table, setTable] = useState(false);
  // While a lever is refused, the last answer stays in sight.
  const [last, setLast] = useState<Schemas['CutInPage'] | undefined>(undefined);
  if (plan.data !== undefined && plan.data !== last) setLast(plan.data);
  const page = plan.data ?? last;
  // Planning is asked once; what follows is reckoned from what it told.
  const planned = plan.isSuccess && !plan.isPlaceholderData;
  const problem = plan.error instanceof ApiProblem ? plan.error : null;
  const at = Math.max(0, page?.days.findIndex(({ on }) => on === (moved ?? page.best.least_cost)) ?? 0);
  const on = page?.days[at]?.on ?? '';
  const [restedOn, setRestedOn] = useState('');
  useEffect(() => {
    const rest = setTimeout(() => setRestedOn(on), REST);
    return () => clearTimeout(rest);
  }, [on]);
  return (
    <div className="grid gap-6 print:block lg:grid-cols-[19rem_minmax(0,1fr)]">
      <div className={page ? 'no-print' : ''}>
        <p className="mb-2 text-sm text-soft">
          {readOff[named.read_off]}
          {named.more > 0 && ` ${count(named.more)} more swaps are left out: plan them apart.`}
        </p>
        <CutInForm question={question} onChange={change} problem={problem} page={page} />
      </div>
      <div className="min-w-0 space-y-4">
        {!page && !ready && (
          <p className="border-y border-rule py-3 text-soft">Name a part that goes or one that comes.</p>
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
            {printing && planned && (
              <PlanOnPaper page={page} asked={asked} question={question} at={at} chosen={chosen[0]} />
            )}
            <div className={`space-y-4 ${planned ? 'no-print' : ''}`}>
              <div className="flex flex-wrap items-start gap-x-3 gap-y-1">
                <BestDays page={page} onDay={setMoved} />
                <span className="ml-auto flex gap-2">
                  <Button onClick={() => setHeld(held ? null : page)} aria-pressed={held !== null}>
                    {held ? 'Stop comparing' : 'Compare with another plan'}
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
                <Curves page={page} held={held} at={at} onAt={(next) => setMoved(page.days[next]?.on ?? null)} />
              )}
              <div className="grid gap-4 2xl:grid-cols-2">
                <DayParts question={asked} page={page} held={held} at={at} />
                <ChooseDay number={number} state={state} question={asked} page={page} at={at} />
              </div>
              <ToDoTable question={asked} on={restedOn} ready={planned} />
              <DayDocuments page={page} at={at} question={question} onChange={change} />
              <HingeTable question={asked} ready={planned} />
              <Details summary="If demand and lead times are uncertain">
                <ChanceTable question={asked} ready={planned} onDay={setMoved} />
              </Details>
              <Assumptions assumptions={page.assumptions} question={question} onChange={change} />
            </div>
          </>
        )}
        <ProblemNotice
          problem={problem}
          shown={Object.keys(problem?.errors ?? {}).filter((place) => place !== 'swaps' && place !== 'items')}
        />
        {/* Below the plan, so that it does not move when that arrives. */}
        {(page !== undefined || !ready || problem !== null) && (
          <div className={planned ? 'no-print' : ''}>
            <ChosenDays number={number} chosen={chosen} />
          </div>
        )}
      </div>
    </div>
  );
}
