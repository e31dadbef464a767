import { useQueries } from '@tanstack/react-query';
import { api, told, type Schemas } from '../lib/api';
import { moment } from '../lib/format';
import { queries } from '../lib/queries';
import { useMay } from '../lib/session';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { Button } from '../ui/Button';
import { ProblemNotice } from '../ui/Notice';
import { Person } from '../ui/Person';
import { SaidFiles } from '../ui/SaidFiles';
import { CommentForm } from './CommentForm';

type Comment = Schemas['CommentRow'];

interface Said extends Comment {
  /** Number of what it was said on. */
  on: string;
}

interface Props {
  /** What is discussed; what is said goes to the first. */
  numbers: [string, ...string[]];
}

/** What people say on a report, request, order or item, the first at the top; what is decided stands pinned above it. */
export function Discussion({ numbers }: Props) {
  const [number] = numbers;
  const { all, isRead } = useQueries({
    queries: numbers.map((one) => queries.discussion(one)),
    combine: (lists) => ({
      isRead: lists.every((list) => list.isSuccess),
      all: lists
        .flatMap((list, at): Said[] => (list.data ?? []).map((one) => ({ ...one, on: numbers[at] ?? '' })))
        .sort((a, b) => a.id - b.id),
    }),
  });
  const may = useMay('discuss');
  const pin = useAct(touches.discussion, ({ id, on }: { id: number; on: boolean }) => {
    const params = { params: { path: { id: String(id) } } };
    return told(on ? api.PUT('/api/comments/{id}/pin', params) : api.DELETE('/api/comments/{id}/pin', params));
  });
  const pinned = all.filter((one) => one.pinned_by !== null);
  const row = (one: Said, above: boolean) => (
    <li key={one.id} className="border-b border-rule px-2 py-1.5 last:border-b-0">
      <p className="flex flex-wrap items-baseline gap-x-3 text-sm text-soft">
        <span>
          <Person name={one.by} />, {moment(one.at)}
          {one.on !== number && ` on ${one.on}`}
          {one.called !== '' && `, ${one.item} ${one.called}`}
        </span>
        {one.pinned_by !== null && <span>pinned by {one.pinned_by}</span>}
        {may && (above || one.pinned_by === null) && (
          <Button
            look="quiet"
            className="!h-6 !px-1 !text-sm"
            busy={pin.isPending}
            aria-label={`${above ? 'Unpin' : 'Pin'} the comment of ${one.by}, ${moment(one.at)}`}
            onClick={() => pin.mutate({ id: one.id, on: !above })}
          >
            {above ? 'Unpin' : 'Pin'}
          </Button>
        )}
      </p>
      <p className="max-w-3xl whitespace-pre-line">{one.text}</p>
      <SaidFiles files={one.files} />
    </li>
  );
  return (
    <section aria-labelledby={`discussion-${number}`} id="discussion">
      <h2 id={`discussion-${number}`} className="mb-1">
        Discussion
      </h2>
      <ProblemNotice problem={pin.error} />
      {pinned.length > 0 && (
        <ul aria-label="Pinned" className="mb-2 border-y border-l-3 border-strong border-l-accent bg-sheet">
          {pinned.map((one) => row(one, true))}
        </ul>
      )}
      <ul aria-label="Comments" className="border-y border-strong bg-sheet empty:hidden">
        {all.map((one) => row(one, false))}
      </ul>
      {isRead && all.length === 0 && <p className="text-soft">Nothing has been said yet.</p>}
      {may && <CommentForm number={number} />}
    </section>
  );
}
