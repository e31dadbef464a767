import { useQuery } from '@tanstack/react-query';
import type { Schemas } from '../lib/api';
import { queries } from '../lib/queries';
import { Details } from '../ui/Details';
import { PersonForm } from './PersonForm';
import { PersonSafety } from './PersonSafety';
import { SetUpList, textColumn } from './SetUpList';

type Account = Schemas['PersonAccount'] & { code: string };

/** Who can sign in, and under which roles; who has left stays, with what they did. */
export function PeoplePage() {
  const accounts = useQuery({
    ...queries.accounts(),
    select: (rows: Schemas['PersonAccount'][]): Account[] => rows.map((row) => ({ ...row, code: row.login })),
  });
  return (
    <SetUpList<Account>
      title="People"
      about="Who can sign in, and under which roles. Whoever leaves is deactivated: what they did and signed stays."
      label="People"
      empty="Nobody is set up."
      query={accounts}
      ability="manage_people"
      codeHead="Sign-in name"
      formAbove
      columns={[
        textColumn('email', 'E-mail', (row) => row.email),
        textColumn('roles', 'Roles', (row) => row.role_names.join(', ')),
        textColumn('status', 'Status', (row) => (row.active ? 'active' : 'deactivated')),
      ]}
      form={(row, onDone) => (
        <div key={row === null ? String(accounts.data?.length) : `${row.code} ${row.version}`}>
          <PersonForm person={row} onDone={onDone} />
          {row !== null && (
            <Details summary={`How ${row.name} signs in`} className="bg-sheet p-3">
              <PersonSafety person={row} />
            </Details>
          )}
        </div>
      )}
    />
  );
}
