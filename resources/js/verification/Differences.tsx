import { useNavigate } from 'react-router';
import { api, told } from '../lib/api';
import { count } from '../lib/format';
import { queries } from '../lib/queries';
import { useMay } from '../lib/session';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { useAddressFilters } from '../lib/useAddressFilters';
import { usePaged } from '../lib/usePaged';
import { Button } from '../ui/Button';
import { DataTable } from '../ui/DataTable';
import { Loading } from '../ui/Loading';
import { ProblemNotice } from '../ui/Notice';
import { SearchInput } from '../ui/SearchInput';
import { Select } from '../ui/Select';
import { differenceColumns, movers, requestAbout, type Difference } from './differenceColumns';

interface Props {
  may: boolean;
  /** Whether planning's copy was ever read back as a whole. */
  verified: boolean;
}

/** Where planning's own copy differs from what holds here: put right there, or taken as a reason for a change. */
export function Differences({ may, verified }: Props) {
  const { asked, value, set } = useAddressFilters();
  const differences = usePaged(queries.differences(asked));
  const mayRaise = useMay('raise_request');
  const navigate = useNavigate();
  const correct = useAct(touches.handover, (ids: number[]) =>
    told(api.POST('/api/hand-overs/corrections', { body: { ids } })),
  );
  return (
    <section className="space-y-2">
      <h2>Differences in planning&rsquo;s copy</h2>
      <div className="no-print flex flex-wrap items-center gap-2">
        <SearchInput
          label="Item number"
          initial={value('item')}
          className="!w-44"
          onWords={(next) => set('item', next.trim())}
        />
        <SearchInput
          label="Order number"
          initial={value('order')}
          className="!w-44"
          onWords={(next) => set('order', next.trim())}
        />
        <Select
          aria-label="Why"
          className="!w-48"
          value={(value('mover') || '-') as '-' | keyof typeof movers}
          onChange={(v) => set('mover', v)}
          options={{ '-': 'Whatever the reason', ...movers }}
        />
      </div>
      <ProblemNotice problem={correct.error} />
      <Loading query={differences.query}>
        {(rows) => (
          <DataTable
            label="Where planning's copy differs"
            caption={differences.total === 1 ? '1 row' : `${count(differences.total)} rows`}
            exportName="planning-differences"
            rows={rows}
            columns={differenceColumns}
            keyOf={(row) => String(row.id)}
            paged={differences.paged}
            fixedOrder
            empty={
              Object.keys(asked).length > 0
                ? 'No row matches. Remove a filter.'
                : verified
                  ? 'Planning has all of it as it holds here.'
                  : "Planning's copy was not read back yet. Verify planning."
            }
            acts={(chosen: Difference[], clear: () => void) => (
              <>
                {may && (
                  <Button
                    look="quiet"
                    onClick={() =>
                      correct.mutate(
                        chosen.map(({ id }) => id),
                        { onSuccess: clear },
                      )
                    }
                  >
                    Correct in planning {count(chosen.length)}
                  </Button>
                )}
                {mayRaise && (
                  <Button look="quiet" onClick={() => void navigate(requestAbout(chosen))}>
                    Raise a request …
                  </Button>
                )}
              </>
            )}
          />
        )}
      </Loading>
    </section>
  );
}
