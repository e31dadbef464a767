import { useQuery } from '@tanstack/react-query';
import { count, moment } from '../lib/format';
import { queries } from '../lib/queries';
import { Button } from '../ui/Button';
import { DataTable } from '../ui/DataTable';
import { Loading } from '../ui/Loading';
import { FileText } from './FileText';

const MOST = 20_000;

/** One message: each try, and all that it says. */
export function OneDelivery({ id, onClose }: { id: number; onClose: () => void }) {
  const query = useQuery(queries.delivery(id));
  return (
    <section className="space-y-2 border-y border-strong bg-sheet p-3" aria-label="Message">
      <Loading query={query}>
        {({ row, content, media_type, attempts }) => (
          <>
            <div className="flex items-baseline justify-between gap-3">
              <h2>{row.name}</h2>
              <Button look="quiet" onClick={onClose}>
                Close
              </Button>
            </div>
            <DataTable
              label="Tries"
              rows={attempts.map((one, at) => ({ ...one, at, moment: one.at }))}
              keyOf={(one) => String(one.at)}
              empty="It was not tried yet."
              columns={[
                { id: 'at', head: 'At', text: (one) => one.moment, cell: (one) => moment(one.moment) },
                {
                  id: 'arrived',
                  head: 'Delivered',
                  text: (one) => (one.arrived ? 'yes' : 'no'),
                  cell: (one) => (one.arrived ? 'yes' : 'no'),
                },
                { id: 'said', head: 'Answer', text: (one) => one.said, cell: (one) => one.said },
                {
                  id: 'took',
                  head: 'Took, ms',
                  numeric: true,
                  text: (one) => String(one.took_ms),
                  cell: (one) => count(one.took_ms),
                },
              ]}
            />
            <p className="text-sm text-soft">
              {media_type}
              {content.length > MOST && ` · first ${count(MOST)} of ${count(content.length)} characters shown`}
            </p>
            <FileText label="What it says">{readable(content.slice(0, MOST), media_type)}</FileText>
          </>
        )}
      </Loading>
    </section>
  );
}

/** JSON with a line for each thing that it says; all else as it is. */
function readable(content: string, type: string): string {
  if (!type.endsWith('json')) return content;
  try {
    return JSON.stringify(JSON.parse(content), null, 2);
  } catch {
    return content;
  }
}
