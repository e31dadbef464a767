import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { CommentForm } from '../discussion/CommentForm';
import { moment } from '../lib/format';
import { queries } from '../lib/queries';
import { useMay } from '../lib/session';
import { Button } from '../ui/Button';
import { ItemNumber } from '../ui/Num';
import { Person } from '../ui/Person';
import { SaidFiles } from '../ui/SaidFiles';
import type { RedlineRow } from './useRedline';

interface Line {
  item: string;
  work: string;
  row: Pick<RedlineRow, 'key' | 'before' | 'after'>;
}

interface Props {
  order: string;
  /** The line that one is on; null: one is on none. */
  at: Line | null;
  /** Of which subject's lines it is shown what was said; null: of all. */
  only: { item: string; work: string } | null;
}

const calledOf = ({ row }: Line) => {
  const line = row.after ?? row.before;
  return line === null ? '' : `line ${line.find} ${line.component}`;
};

/** What is said of single lines of an order, and the way to say something of the line that one is on. */
export function LineTalk({ order, at, only }: Props) {
  const all = useQuery(queries.discussion(order)).data ?? [];
  const may = useMay('discuss');
  const [on, setOn] = useState<Line | null>(null);
  const said = all.filter(
    (one) => one.line !== '' && (only === null || (one.item === only.item && one.work === only.work)),
  );
  if (said.length === 0 && !may) return null;
  return (
    <section aria-label="Said of lines" className="mt-4 space-y-2">
      <div className="flex items-baseline gap-3">
        <h2>Said of lines</h2>
        {may && (
          <Button
            className="no-print"
            disabled={at === null}
            aria-expanded={on !== null}
            onClick={() => setOn(on?.row.key === at?.row.key ? null : at)}
          >
            {at === null ? 'Comment on a line' : `Comment on ${calledOf(at)}`}
          </Button>
        )}
      </div>
      {on !== null && (
        <CommentForm
          key={on.row.key}
          number={order}
          of={{ item: on.item, work: on.work, line: on.row.key, called: calledOf(on) }}
        />
      )}
      {said.length > 0 && (
        <ul className="border-y border-strong bg-sheet">
          {said.map((one) => (
            <li key={one.id} className="border-b border-rule px-2 py-1 last:border-b-0">
              <p className="text-sm text-soft">
                <ItemNumber number={one.item} /> {one.called}; <Person name={one.by} />, {moment(one.at)}
                {one.pinned_by !== null && `, pinned by ${one.pinned_by}`}
              </p>
              <p className="max-w-3xl whitespace-pre-line">{one.text}</p>
              <SaidFiles files={one.files} />
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
