import { useQuery } from '@tanstack/react-query';
import { Link, useNavigate } from 'react-router';
import type { Schemas } from '../lib/api';
import { ago, count, day, stamp, today } from '../lib/format';
import { placeOf } from '../lib/places';
import { queries } from '../lib/queries';
import { taskWalk } from '../lib/taskWalk';
import { useMay, useMe } from '../lib/session';
import { priorities, rankOf, states, steps } from '../lib/words';
import { changeColumns } from '../register/changeColumns';
import { DataTable, type Column } from '../ui/DataTable';
import { Loading } from '../ui/Loading';
import { ChangeNumber } from '../ui/Num';
import { Page } from '../ui/Page';
import { Priority } from '../ui/Priority';

type Task = Schemas['DeskTask'];

/** Of the task that it is, else of the change that waits. */
const numberOf = (one: Task) => one.task ?? one.change.number;

const taskColumns: Column<Task>[] = [
  {
    id: 'priority',
    head: 'Priority',
    text: (task) => priorities[task.change.priority],
    sort: (task) => rankOf(task.change.priority),
    cell: (task) => <Priority value={task.change.priority} />,
  },
  {
    id: 'todo',
    head: 'To do',
    text: (task) => task.todo,
    cell: (task) => (
      <b className="font-semibold">
        {task.todo}
        {task.due_on != null && (
          <span className={task.due_on < today() ? 'ml-2 text-alarm' : 'ml-2 font-normal text-soft'}>
            {task.due_on < today() ? '▲ overdue since' : 'by'} {day(task.due_on)}
          </span>
        )}
      </b>
    ),
  },
  {
    id: 'number',
    head: 'Change',
    text: (task) => task.change.number,
    cell: (task) => <ChangeNumber number={task.change.number} />,
  },
  { id: 'title', head: 'Title', text: (task) => task.change.title, cell: (task) => task.change.title },
  {
    id: 'since',
    head: 'Waits',
    numeric: true,
    text: (task) => ago(task.since),
    sort: (task) => -Date.parse(task.since),
    exported: (task) => stamp(task.since),
    cell: (task) => <span className="whitespace-nowrap">{ago(task.since)}</span>,
  },
];

/** What one is part of besides what needs one now, as rows of the Register. */
const mine = [
  ['Mine, waiting for others', '/register?mine=waiting'],
  ['All that I take part in', '/register?mine=part'],
  ['What I watch', '/register?mine=watching'],
  ['Mine, closed', '/register?mine=part&show=closed'],
] as const;

/** What needs this person now, and what is new. */
export function DeskPage() {
  const me = useMe();
  const navigate = useNavigate();
  const mayRaise = useMay('raise_request');
  const mayOrder = useMay('raise_order');
  const desk = useQuery(queries.desk());
  return (
    <Page
      title="Desk"
      over={me.name}
      aside={
        <span className="flex gap-5">
          <Link to="/meeting" className="text-accent underline-offset-3 hover:underline">
            Change board meeting
          </Link>
          {mayRaise && (
            <>
              <Link to="/reports/new" className="text-accent underline-offset-3 hover:underline">
                Report a problem
              </Link>
              <Link to="/requests/new" className="text-accent underline-offset-3 hover:underline">
                Raise a change request
              </Link>
            </>
          )}
          {mayOrder && (
            <Link to="/orders/new" className="text-accent underline-offset-3 hover:underline">
              Raise a change order
            </Link>
          )}
        </span>
      }
    >
      <Loading query={desk}>
        {(page) => (
          <div className="space-y-7">
            <Critical changes={page.critical} />
            <Stages stages={page.stages} />
            <Kept />
            <section aria-labelledby="needs">
              <h2 id="needs" className="mb-1">
                Needs you now
              </h2>
              <DataTable
                label="Needs you now"
                rows={page.tasks}
                columns={taskColumns}
                keyOf={(task) => `${numberOf(task)} ${task.todo} ${task.since}`}
                onRows={(tasks) => taskWalk.begin(tasks.map((one) => ({ todo: one.todo, number: numberOf(one) })))}
                onOpen={(task) => void navigate(placeOf(numberOf(task)))}
                empty="Nothing waits for you. New requests are below; all changes are in the Register."
              />
            </section>
            <nav aria-label="Mine" className="flex flex-wrap gap-x-6 gap-y-1">
              {mine.map(([label, address]) => (
                <Link key={address} to={address} className="text-accent underline-offset-3 hover:underline">
                  {label}
                </Link>
              ))}
            </nav>
            <section aria-labelledby="newest">
              <h2 id="newest" className="mb-1">
                Newest requests, critical first
              </h2>
              <DataTable
                label="Newest requests, critical first"
                rows={page.requests}
                caption={<Newest shown={page.requests.length} all={page.open_requests} />}
                columns={changeColumns}
                keyOf={(change) => change.number}
                onOpen={(change) => void navigate(`/changes/${change.number}`)}
                empty="No request is open."
              />
            </section>
          </div>
        )}
      </Loading>
    </Page>
  );
}

/** How many of the open requests are listed, and where the others are. */
function Newest({ shown, all }: { shown: number; all: number }) {
  return (
    <>
      {shown === all ? `All ${count(all)} open requests` : `${count(shown)} of ${count(all)} open requests`} ·{' '}
      <Link to="/register?type=request" className="target text-accent underline underline-offset-3">
        All in the Register
      </Link>
    </>
  );
}

/** What cannot wait, for everyone whose job it is: it stands above all else. */
function Critical({ changes }: { changes: Schemas['ChangeRow'][] }) {
  if (changes.length === 0) return null;
  return (
    <section aria-labelledby="critical" className="border-y-2 border-alarm bg-alarm-soft px-3 py-1.5">
      <h2 id="critical" className="text-base text-alarm">
        ▲ Critical now
      </h2>
      <ul>
        {changes.map((change) => (
          <li key={change.number} className="flex gap-4 py-0.5">
            <ChangeNumber number={change.number} />
            <span className="grow">{change.title}</span>
            <span className="text-sm">
              {states[change.state]}, {change.site}, {ago(change.raised_at)}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** The pages this person keeps at hand. */
function Kept() {
  const favourites = useQuery(queries.favourites());
  if ((favourites.data ?? []).length === 0) return null;
  return (
    <nav aria-label="Saved views" className="flex flex-wrap gap-x-5 gap-y-1">
      <span className="text-soft">Saved views</span>
      {(favourites.data ?? []).map(({ id, address, name, shared_by: by }) => (
        <Link key={id} to={address} className="text-accent underline-offset-3 hover:underline">
          {name}
          {by && <span className="text-soft"> from {by}</span>}
        </Link>
      ))}
    </nav>
  );
}

/** How many changes are open at each step of the work; a figure opens its rows. */
function Stages({ stages }: { stages: Schemas['StageCount'][] }) {
  return (
    <section aria-label="Open changes by step">
      <ol className="grid grid-cols-8 border-y border-strong bg-sheet">
        {stages.map((stage, index) => (
          <li key={stage.step} className="border-l border-rule first:border-l-0">
            <Link to={`/register?step=${stage.step}`} className="block px-3 py-1.5 hover:bg-well">
              <span className="block text-sm whitespace-nowrap text-soft">
                {index + 1} {steps[stage.step]}
              </span>
              <span className="text-xl font-semibold">{stage.open}</span>
              {stage.critical > 0 && (
                <span className="ml-2 text-sm font-semibold whitespace-nowrap text-alarm">
                  ▲ {stage.critical} critical
                </span>
              )}
            </Link>
          </li>
        ))}
      </ol>
    </section>
  );
}
