import { Link } from 'react-router';
import type { Schemas } from '../lib/api';

const pictures = ['image/svg+xml', 'image/png', 'image/jpeg'];

/** The sheets that were released with the order: those that are pictures are shown, the others open on their page. */
export function NoticeSheets({ sheets }: { sheets: Schemas['NoticeSheet'][] }) {
  if (sheets.length === 0) return null;
  return (
    <section aria-label="Sheets">
      <h2>Sheets</h2>
      <ul className="grid gap-4 md:grid-cols-2">
        {sheets.map((one) => (
          <li key={one.file}>
            <p>
              <Link
                to={`/items/${one.item}/sheet?file=${one.file}`}
                className="text-accent underline underline-offset-3"
              >
                {one.item}
              </Link>{' '}
              {one.title}, revision {one.revision}
            </p>
            {pictures.includes(one.media_type) ? (
              <img
                src={`/api/files/${one.file}`}
                alt={`Sheet ${one.name} of ${one.item}, revision ${one.revision}`}
                loading="lazy"
                className="w-full border border-rule bg-white"
              />
            ) : (
              <p className="text-soft">{one.name}</p>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
