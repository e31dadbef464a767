import clsx from 'clsx';
import type { Schemas } from '../lib/api';
import { day } from '../lib/format';
import { priorities, rankOf, taskKinds, taskStates } from '../lib/words';
import type { Column } from '../ui/DataTable';
import { ChangeNumber } from '../ui/Num';
import { Priority } from '../ui/Priority';

export type Task = Schemas['TaskRow'];

/** Who is to do it: who has it, else whom it is for. */
export const whoOf = (task: Task) =>
  task.holder === null || task.holder === task.to ? task.to : `${task.holder}, of ${task.to}`;

/** When it is due, marked where that has passed. */
export function Due({ task }: { task: Task }) {
  if (task.due_on === null) return null;
  return (
    <span className={clsx('whitespace-nowrap', task.overdue && 'font-semibold text-alarm')}>
      {task.overdue && '▲ overdue '}
      {day(task.due_on)}
    </span>
  );
}

/** Tasks of a change. */
export const taskColumns: Column<Task>[] = [
  { id: 'number', head: 'Task', text: (t) => t.number, cell: (t) => <ChangeNumber number={t.number} /> },
  {
    id: 'title',
    head: 'What',
    text: (t) => t.title,
    cell: (t) => (
      <span className={clsx(t.state === 'withdrawn' && 'line-through', t.mine && 'font-semibold')}>{t.title}</span>
    ),
  },
  { id: 'kind', head: 'Kind', text: (t) => taskKinds[t.kind], cell: (t) => taskKinds[t.kind] },
  {
    id: 'state',
    head: 'Status',
    text: (t) => taskStates[t.state].word,
    cell: (t) => (
      <span className="whitespace-nowrap">
        <span aria-hidden="true">{taskStates[t.state].sign}</span> {taskStates[t.state].word}
      </span>
    ),
  },
  { id: 'who', head: 'Who', text: whoOf, cell: whoOf },
  { id: 'due', head: 'Due', text: (t) => t.due_on ?? '', cell: (t) => <Due task={t} /> },
  {
    id: 'priority',
    head: 'Priority',
    text: (t) => priorities[t.priority],
    sort: (t) => rankOf(t.priority),
    cell: (t) => <Priority value={t.priority} />,
  },
  {
    id: 'checks',
    head: 'Ticked',
    text: (t) => (t.checks === 0 ? '' : `${t.ticked} of ${t.checks}`),
    cell: (t) => (t.checks === 0 ? '' : `${t.ticked} of ${t.checks}`),
  },
  {
    id: 'waits',
    head: 'Waits for',
    text: (t) => t.waits_for.join(', '),
    cell: (t) => <span className="whitespace-nowrap">{t.waits_for.join(', ')}</span>,
  },
];
