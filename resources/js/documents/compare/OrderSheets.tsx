import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import type { Schemas } from '../../lib/api';
import { queries } from '../../lib/queries';
import { ItemNumber } from '../../ui/Num';

type Row = Schemas['OrderSheetRow'];

/** The sheets that an order brings, beside those they take the place of. */
export function OrderSheets({ order }: { order: string }) {
  const { data } = useQuery(queries.orderSheets(order));
  if (data === undefined || data.length === 0) return null;
  return (
    <section aria-labelledby="order-sheets">
      <h2 id="order-sheets" className="mb-1">
        Sheets
      </h2>
      <ul className="border-y border-strong bg-sheet">
        {data.map((row) => (
          <li key={row.after.id} className="flex items-start gap-4 border-b border-rule px-3 py-2 last:border-b-0">
            {row.before && <Picture file={row.before} />}
            <Picture file={row.after} />
            <div>
              <p>
                <ItemNumber number={row.item} /> {row.title}
              </p>
              {row.before === null ? (
                <Link to={`/items/${row.item}/sheet?file=${row.after.id}`} className="text-accent hover:underline">
                  Show the sheet, the first of it
                </Link>
              ) : (
                <Pair row={row} before={row.before} />
              )}
            </div>
          </li>
        ))}
      </ul>
    </section>
  );
}

function Picture({ file }: { file: Schemas['FileRow'] }) {
  const name = file.revision === null ? 'Draft' : `Revision ${file.revision}`;
  return (
    <figure className="shrink-0 text-sm text-soft">
      <img
        src={`/api/files/${file.id}/page?width=320`}
        alt={`${file.name}, ${name.toLowerCase()}`}
        loading="lazy"
        className="w-40 border border-rule bg-white"
      />
      <figcaption>{name}</figcaption>
    </figure>
  );
}

function Pair({ row, before }: { row: Row; before: Schemas['FileRow'] }) {
  const { data, error } = useQuery(queries.comparedSheets(before.id, row.after.id, 1));
  const address = `/items/${row.item}/sheet/against?before=${before.id}&after=${row.after.id}`;
  const pages = Math.max(data?.pages_before ?? 1, data?.pages_after ?? 1);
  return (
    <>
      <Link to={address} className="text-accent hover:underline">
        Compare the sheets
      </Link>
      {error && <span className="text-warn">, {error.message}</span>}
      {data && (
        <span>
          ,{' '}
          {data.places.length === 0
            ? 'no differences'
            : data.places.length === 1
              ? '1 place differs'
              : `${data.places.length} places differ`}
          {pages > 1 && ` on page 1 of ${pages}`}
        </span>
      )}
      <ol className="text-sm text-soft">
        {data?.places.slice(0, 3).map((place) => (
          <li key={place.number}>
            <Link to={`${address}&place=${place.number}`} className="font-mono hover:underline">
              {place.zone}
            </Link>{' '}
            {[place.went.join(' · '), place.came.join(' · ')].filter((text) => text !== '').join(' → ') || place.kind}
          </li>
        ))}
      </ol>
    </>
  );
}
