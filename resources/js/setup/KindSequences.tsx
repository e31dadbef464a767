import { useQuery } from '@tanstack/react-query';
import { api, told, type Schemas } from '../lib/api';
import { queries } from '../lib/queries';
import { useMay } from '../lib/session';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { sequences } from '../lib/words';
import { DataTable } from '../ui/DataTable';
import { Loading } from '../ui/Loading';
import { ProblemNotice } from '../ui/Notice';
import { Select } from '../ui/Select';

type Kind = Schemas['KindRow'];

/** In which order revisions follow one another, by kind of item: where the category says nothing else. */
export function KindSequences() {
  const kinds = useQuery(queries.kinds());
  const maySet = useMay('set_up');
  const set = useAct(touches.kind, ({ kind, sequence }: { kind: string; sequence: Kind['sequence'] }) =>
    told(api.PATCH('/api/kinds/{kind}', { params: { path: { kind } }, body: { sequence } })),
  );
  return (
    <section aria-labelledby="kinds" className="mt-8 max-w-xl">
      <h2 id="kinds" className="mb-1">
        Revisions by kind of item
      </h2>
      <Loading query={kinds}>
        {(rows) => (
          <DataTable
            label="Revisions by kind of item"
            rows={rows}
            keyOf={(row) => row.kind}
            empty=""
            columns={[
              { id: 'kind', head: 'Kind', text: (row) => row.label, cell: (row) => row.label },
              {
                id: 'revisions',
                head: 'Revisions',
                className: 'w-80',
                text: (row) => sequences[row.sequence],
                cell: (row) =>
                  maySet ? (
                    <Select
                      aria-label={`Revisions of ${row.label}`}
                      value={row.sequence}
                      disabled={set.isPending}
                      onChange={(sequence) => set.mutate({ kind: row.kind, sequence })}
                      options={sequences}
                    />
                  ) : (
                    sequences[row.sequence]
                  ),
              },
            ]}
          />
        )}
      </Loading>
      <ProblemNotice problem={set.error} />
    </section>
  );
}
