import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { api, told, type Schemas } from '../lib/api';
import { queries } from '../lib/queries';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { Button } from '../ui/Button';
import { Loading } from '../ui/Loading';
import { Notice, ProblemNotice } from '../ui/Notice';
import { ItemNumber } from '../ui/Num';
import { PartChanges } from '../ui/PartChanges';

type Edited = Schemas['TaskSubjectRow'];

const calledOf = ({ kind, plant }: Omit<Edited, 'item'>) =>
  kind === 'manufacturing' ? `manufacturing at ${plant}` : kind === 'item_data' ? 'item data' : 'engineering';

function placeOf(order: string, { item, kind, plant }: Edited): string {
  if (kind === 'manufacturing') return `/orders/${order}/build/${item}/${encodeURIComponent(plant)}`;
  return `/orders/${order}/${kind === 'item_data' ? 'data' : 'revise'}/${item}`;
}

/** What is edited under a task: the way to each subject, and what has been done there under this task alone. */
export function TaskWork({ page }: { page: Schemas['TaskPage'] }) {
  const { number, change } = page.task;
  const work = useQuery(queries.taskWork(number));
  const turn = useAct(touches.taskWork, (which: 'undo' | 'redo') =>
    told(
      which === 'undo'
        ? api.POST('/api/tasks/{number}/edits/undo', { params: { path: { number } } })
        : api.POST('/api/tasks/{number}/edits/redo', { params: { path: { number } } }),
    ),
  );
  return (
    <section aria-labelledby="edits" className="space-y-3">
      <h2 id="edits">Edits</h2>
      <ul className="max-w-3xl border-y border-rule">
        {page.edits.map((one) => (
          <li
            key={`${one.item} ${one.kind} ${one.plant}`}
            className="flex gap-3 border-t border-rule py-0.5 first:border-t-0"
          >
            <ItemNumber number={one.item} />
            <Link to={placeOf(change, one)} className="text-accent underline-offset-3 hover:underline">
              {calledOf(one)}
            </Link>
          </li>
        ))}
      </ul>
      <Loading query={work}>
        {(done) => (
          <>
            {done.subjects.length === 0 && <p className="text-soft">Nothing has been edited under this task yet.</p>}
            {done.subjects.map((subject) => (
              <section
                key={`${subject.item} ${subject.kind} ${subject.plant}`}
                aria-label={`Under this task, ${subject.item} ${calledOf(subject)}`}
              >
                <h3>
                  <ItemNumber number={subject.item} /> {subject.title}, {calledOf(subject)}:{' '}
                  {subject.edits === 1 ? '1 edit' : `${subject.edits} edits`}
                </h3>
                {subject.built_on === null ? (
                  <PartChanges parts={subject.parts} />
                ) : (
                  <Notice>Others have built on these edits; they cannot be told apart. {subject.built_on}</Notice>
                )}
              </section>
            ))}
            <ProblemNotice problem={turn.error} />
            {(done.can_undo || done.can_redo) && (
              <div className="no-print flex gap-2">
                <Button disabled={!done.can_undo} busy={turn.isPending} onClick={() => turn.mutate('undo')}>
                  Undo all of this task
                </Button>
                <Button disabled={!done.can_redo} busy={turn.isPending} onClick={() => turn.mutate('redo')}>
                  Redo
                </Button>
              </div>
            )}
          </>
        )}
      </Loading>
    </section>
  );
}
