import { useQuery } from '@tanstack/react-query';
import { api, told, type Schemas } from '../lib/api';
import { day, languageName } from '../lib/format';
import { queries } from '../lib/queries';
import { useMay } from '../lib/session';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { Button } from '../ui/Button';
import { ProblemNotice } from '../ui/Notice';

/** The sheet for those who have no account: stamped with the status of the day, and an address that tells it on any later day. */
export function SheetOut({ file }: { file: Schemas['FileRow'] }) {
  const may = useMay('attach_file');
  const known = useQuery(queries.sheetAddress(file.id)).data;
  const path = { params: { path: { id: file.id } } };
  const act = useAct(touches.sheetAddress, (withdraw: boolean) =>
    told(withdraw ? api.DELETE('/api/files/{id}/address', path) : api.POST('/api/files/{id}/address', path)),
  );
  if (known === undefined) return null;
  return (
    <section aria-labelledby="sheet-out" className="no-print">
      <h2 id="sheet-out" className="mb-1">
        To hand out
      </h2>
      <p className="flex flex-wrap gap-x-3">
        {known.languages.map((one) => (
          <a
            key={one}
            href={`/api/files/${file.id}/stamped?language=${one}`}
            target="_blank"
            rel="noreferrer"
            className="text-accent underline underline-offset-3"
          >
            Stamped PDF, {languageName(one)}
          </a>
        ))}
      </p>
      {known.released && (
        <div className="mt-1 text-sm">
          {known.address === null ? (
            <p className="text-soft">
              No address yet. With one, prints have a code: whoever scans it learns whether the sheet still holds.
            </p>
          ) : (
            <p>
              <a href={known.address} target="_blank" rel="noreferrer" className="break-all text-accent underline">
                {known.address}
              </a>{' '}
              <span className="text-soft">
                since {day((known.made_at ?? '').slice(0, 10))}, on every print as a code
              </span>
            </p>
          )}
          {may && (
            <Button
              look="quiet"
              className="!px-0"
              busy={act.isPending}
              onClick={() => act.mutate(known.address !== null)}
            >
              {known.address === null ? 'Create address' : 'Withdraw address'}
            </Button>
          )}
          <ProblemNotice problem={act.error} />
        </div>
      )}
    </section>
  );
}
