import { useQuery } from '@tanstack/react-query';
import { ago } from '../lib/format';
import { queries } from '../lib/queries';
import { states } from '../lib/words';
import { Button } from '../ui/Button';
import { ChangeNumber } from '../ui/Num';

interface Props {
  title: string;
  description: string;
  items: string[];
  except?: string;
  /** What can be done with one of them. */
  onSame?: (number: string) => void;
}

/** Reports that are likely about the same, while one is being written or looked at. */
export function LikelySame({ title, description, items, except = '', onSame }: Props) {
  const like = useQuery(queries.reportsLike({ title, description, items: items.join(','), except }));
  const rows = like.data ?? [];
  return (
    <section aria-label="Likely duplicates" aria-live="polite">
      <h2 className="mb-1 text-base">Likely duplicates</h2>
      {rows.length === 0 ? (
        <p className="border-y border-rule py-1.5 text-sm text-soft">No likely duplicates.</p>
      ) : (
        <ul className="border-y border-strong bg-sheet text-sm">
          {rows.map((row) => (
            <li key={row.number} className="border-t border-rule px-2 py-1 first:border-t-0">
              <span className="flex gap-2">
                <ChangeNumber number={row.number} />
                <span className="ml-auto whitespace-nowrap text-soft">
                  {row.likeness} % alike · {states[row.state]} · {ago(row.raised_at)}
                </span>
              </span>
              <span className="block">{row.title}</span>
              {row.requests.length > 0 && (
                <span className="flex gap-2 text-soft">
                  gathered into{' '}
                  {row.requests.map((number) => (
                    <ChangeNumber key={number} number={number} />
                  ))}
                </span>
              )}
              {onSame && (
                <Button look="quiet" className="!h-6 !px-0" onClick={() => onSame(row.number)}>
                  It is the same as {row.number}
                </Button>
              )}
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
