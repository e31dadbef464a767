import { useQuery } from '@tanstack/react-query';
import { Link, useLocation, useNavigate } from 'react-router';
import { placeOf } from '../lib/places';
import { queries } from '../lib/queries';
import { taskWalk } from '../lib/taskWalk';
import { useShortcut } from '../lib/useShortcut';

const link = 'target inline-flex items-center text-accent underline-offset-3 hover:underline';

/** On the page of something to be done: what it is, which of how many, and the way to the one before and after it. */
export function TaskWalk() {
  const { pathname } = useLocation();
  const navigate = useNavigate();
  const walk = taskWalk.useAt(pathname);
  const go = (number: string | undefined) => number !== undefined && void navigate(placeOf(number));
  useShortcut('t n', () => go(walk?.next?.number), walk?.next !== undefined);
  useShortcut('t p', () => go(walk?.previous?.number), walk?.previous !== undefined);
  const desk = useQuery({ ...queries.desk(), enabled: walk !== null }).data;
  const waits = (number: string) => desk?.tasks.some((one) => (one.task ?? one.change.number) === number) ?? true;
  // A walk of which nothing is left to do is over.
  if (walk === null || !walk.stops.some(({ number }) => waits(number))) return null;
  return (
    <nav
      aria-label="To do"
      className="no-print flex flex-wrap items-center gap-x-4 border-b border-rule bg-well px-6 text-sm"
    >
      <span className="text-soft">
        To do {walk.at + 1} of {walk.stops.length}
      </span>
      {waits(walk.here.number) ? (
        <b className="font-semibold">{walk.here.todo}</b>
      ) : (
        <span className="text-accent">✓ done: {walk.here.todo}</span>
      )}
      <span className="ml-auto flex gap-4">
        {walk.previous && (
          <Link to={placeOf(walk.previous.number)} title={walk.previous.todo} className={link}>
            ← Previous, {walk.previous.number}
          </Link>
        )}
        {walk.next && (
          <Link to={placeOf(walk.next.number)} title={walk.next.todo} className={link}>
            Next, {walk.next.number} →
          </Link>
        )}
      </span>
    </nav>
  );
}
