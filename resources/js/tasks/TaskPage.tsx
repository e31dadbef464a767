import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useParams } from 'react-router';
import type { Schemas } from '../lib/api';
import { moment } from '../lib/format';
import { queries } from '../lib/queries';
import { taskKinds, taskStates } from '../lib/words';
import { Facts } from '../ui/Facts';
import { Loading } from '../ui/Loading';
import { ChangeNumber } from '../ui/Num';
import { Page } from '../ui/Page';
import { Person } from '../ui/Person';
import { Priority } from '../ui/Priority';
import { TaskActs } from './TaskActs';
import { TaskChecks } from './TaskChecks';
import { TaskComments } from './TaskComments';
import { Due } from './taskColumns';
import { TaskPlan } from './TaskPlan';
import { TaskWork } from './TaskWork';

/** One task: what is to be done, by whom, how far it is, and what was said of it. */
export function TaskPage() {
  const { number = '' } = useParams();
  const task = useQuery(queries.task(number));
  return task.data ? (
    <TaskView key={task.data.task.number} page={task.data} />
  ) : (
    <Page title={number}>
      <Loading query={task}>{() => null}</Loading>
    </Page>
  );
}

function TaskView({ page }: { page: Schemas['TaskPage'] }) {
  const { task } = page;
  const [planning, setPlanning] = useState(false);
  const { sign, word } = taskStates[task.state];
  return (
    <Page
      title={task.title}
      number={task.number}
      over={
        <span className="flex items-baseline gap-2">
          <span className="font-mono">{task.number}</span> task of <ChangeNumber number={task.change} />{' '}
          {page.change_title}
        </span>
      }
      aside={<Priority value={task.priority} />}
    >
      <div className="space-y-6">
        <Facts
          facts={[
            [
              'Status',
              <span key="state">
                <span aria-hidden="true">{sign}</span> {word}
              </span>,
            ],
            ['For', task.to],
            [
              task.state === 'done' ? 'Done by' : 'Claimed by',
              task.holder === null || (task.holder === task.to && task.state !== 'done') ? (
                ''
              ) : (
                <Person name={task.holder} />
              ),
            ],
            ['Kind of work', taskKinds[task.kind]],
            ['Due', task.due_on === null ? '' : <Due task={task} />],
            ['Estimate', task.estimate_hours === null ? '' : `${task.estimate_hours} h`],
            ['Holds up', [page.before_review && 'review', page.before_release && 'release'].filter(Boolean).join(', ')],
            ['Created by', `${page.made_by}, ${moment(page.made_at)}`],
            ['Ended', page.ended_at === null ? '' : moment(page.ended_at)],
          ]}
        />
        {page.text !== '' && <p className="max-w-3xl whitespace-pre-line">{page.text}</p>}
        {page.result !== '' && (
          <section aria-labelledby="result">
            <h2 id="result">Result</h2>
            <p className="max-w-3xl whitespace-pre-line">{page.result}</p>
          </section>
        )}
        {planning ? (
          <TaskPlan page={page} onDone={() => setPlanning(false)} />
        ) : (
          <TaskActs page={page} onPlan={() => setPlanning(true)} />
        )}
        <TaskChecks page={page} />
        {page.waits.length > 0 && (
          <section aria-labelledby="waits">
            <h2 id="waits" className="mb-1">
              Waits for
            </h2>
            <ul>
              {page.waits.map((one) => (
                <li key={one.number} className="flex gap-3">
                  <ChangeNumber number={one.number} /> {one.title}
                  <span className="text-soft">{taskStates[one.state].word}</span>
                </li>
              ))}
            </ul>
          </section>
        )}
        {page.edits.length > 0 && <TaskWork page={page} />}
        <TaskComments page={page} />
      </div>
    </Page>
  );
}
