import { useQuery } from '@tanstack/react-query';
import type { Schemas } from '../lib/api';
import { moment } from '../lib/format';
import { queries } from '../lib/queries';
import { Button } from '../ui/Button';
import { DataTable } from '../ui/DataTable';
import { actsColumn } from '../ui/table/columns';

type Token = Schemas['TokenRow'];

interface Props {
  rows: Token[];
  busy: boolean;
  onWithdraw: (id: number) => void;
}

/** Tokens of programs, with a way to withdraw each. */
export function TokenTable({ rows, busy, onWithdraw }: Props) {
  const abilities = useQuery(queries.abilities()).data ?? [];
  const may = (row: Token) =>
    row.all
      ? 'whatever the person may'
      : ['read', ...abilities.filter(({ code }) => row.scopes.includes(code)).map(({ name }) => name)].join('; ');
  return (
    <DataTable
      label="Tokens"
      rows={rows}
      keyOf={(row) => String(row.id)}
      empty="No program has a token."
      columns={[
        { id: 'name', head: 'Program', text: (row) => row.name, cell: (row) => row.name },
        { id: 'may', head: 'May', text: may, cell: may },
        { id: 'ends', head: 'Ends', text: (row) => row.ends_at ?? '', cell: (row) => moment(row.ends_at) },
        {
          id: 'used',
          head: 'Last used',
          text: (row) => row.used_at ?? '',
          cell: (row) => (row.used_at === null ? 'never' : moment(row.used_at)),
        },
        actsColumn<Token>((row) => (
          <Button
            look="quiet"
            className="!h-6"
            aria-label={`Withdraw the token of ${row.name}`}
            busy={busy}
            onClick={() => onWithdraw(row.id)}
          >
            Withdraw
          </Button>
        )),
      ]}
    />
  );
}
