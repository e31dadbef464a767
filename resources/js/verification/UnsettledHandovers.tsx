import { api, told } from '../lib/api';
import { count } from '../lib/format';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { Button } from '../ui/Button';
import { DataTable } from '../ui/DataTable';
import { ProblemNotice } from '../ui/Notice';
import { handoverColumns, type Unsettled } from './handoverColumns';

/** Hand-overs that planning has not taken whole, resent some or all; what it took of them is not done twice. */
export function UnsettledHandovers({ rows, may }: { rows: Unsettled[]; may: boolean }) {
  const resend = useAct(touches.handover, (names: string[]) =>
    told(api.POST('/api/hand-overs/deliveries', { body: { names } })),
  );
  const stuck = rows.filter(({ sending }) => !sending);
  return (
    <section className="space-y-2">
      <div className="flex flex-wrap items-baseline justify-between gap-3">
        <h2>Not accepted yet</h2>
        {may && stuck.length > 0 && (
          <Button busy={resend.isPending} onClick={() => resend.mutate([])}>
            Resend all {count(stuck.length)}
          </Button>
        )}
      </div>
      <ProblemNotice problem={resend.error} />
      <DataTable
        label="Hand-overs that planning has not accepted"
        exportName="hand-overs"
        rows={rows}
        columns={handoverColumns}
        keyOf={(row) => row.name}
        empty="Planning has accepted every hand-over."
        {...(may && {
          acts: (chosen: Unsettled[], clear: () => void) => (
            <Button
              look="quiet"
              onClick={() =>
                resend.mutate(
                  chosen.map(({ name }) => name),
                  { onSuccess: clear },
                )
              }
            >
              Resend {count(chosen.length)}
            </Button>
          ),
        })}
      />
    </section>
  );
}
