import type { Schemas } from '../lib/api';
import { moment } from '../lib/format';
import { Button } from '../ui/Button';
import { DataTable } from '../ui/DataTable';
import { actsColumn } from '../ui/table/columns';

type SignIn = Schemas['SignInRow'];

/** Browsers in which somebody is signed in, with a way to end each. */
export function SignInTable({ rows, busy, onEnd }: { rows: SignIn[]; busy: boolean; onEnd: (id: string) => void }) {
  const program = (row: SignIn) => (row.here ? `${row.program} (this one)` : row.program);
  return (
    <DataTable
      label="Sign-ins"
      rows={rows}
      keyOf={(row) => row.id}
      empty="Signed in nowhere."
      columns={[
        { id: 'program', head: 'Browser', text: program, cell: program },
        { id: 'from', head: 'Network address', text: (row) => row.from, cell: (row) => row.from },
        {
          id: 'since',
          head: 'Signed in',
          text: (row) => row.signed_in_at,
          cell: (row) => moment(row.signed_in_at),
        },
        { id: 'active', head: 'Last active', text: (row) => row.active_at, cell: (row) => moment(row.active_at) },
        actsColumn<SignIn>((row) =>
          row.here ? null : (
            <Button
              look="quiet"
              className="!h-6"
              aria-label={`End the sign-in from ${row.from}, ${row.program}`}
              busy={busy}
              onClick={() => onEnd(row.id)}
            >
              End
            </Button>
          ),
        ),
      ]}
    />
  );
}
