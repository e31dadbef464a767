import { useQuery } from '@tanstack/react-query';
import { queries } from '../lib/queries';
import { Loading } from '../ui/Loading';
import { UsedInTable } from './UsedInTable';

/** Where an item is used on a day, level by level up to what is sold. */
export function WhereUsed({ number, on, kind }: { number: string; on: string; kind: string }) {
  const used = useQuery(queries.whereUsed(number, { on, kind }));
  return (
    <section aria-labelledby="where-used">
      <h2 id="where-used" className="mb-1">
        Where it is used
      </h2>
      <Loading query={used}>{(rows) => <UsedInTable rows={rows} number={number} />}</Loading>
    </section>
  );
}
