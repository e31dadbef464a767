import { useQuery } from '@tanstack/react-query';
import type { Schemas } from '../lib/api';
import { offered } from '../lib/choices';
import { queries } from '../lib/queries';
import { RoleForm } from './RoleForm';
import { SetUpList, statusColumn, textColumn } from './SetUpList';

type Role = Schemas['RoleRow'];

/** Where a role holds: everywhere, where it is held to nothing. */
const holds = (row: Role) => {
  const sites = offered('site');
  return (
    [row.plants.map((code) => sites[code] ?? code), row.categories]
      .filter((some) => some.length > 0)
      .map((some) => some.join(' or '))
      .join('; ') || 'everywhere'
  );
};

/** What people of each role may do, and with which changes. */
export function RolesPage() {
  const roles = useQuery(queries.roles());
  const abilities = useQuery(queries.abilities()).data ?? [];
  return (
    <SetUpList<Role>
      title="Roles and rights"
      about="A person may do what any of their roles allows. Everybody who can sign in can read. A role limited to plants or categories applies to changes and items that concern one of them."
      label="Roles"
      empty="No role is set up."
      query={roles}
      ability="manage_people"
      width="max-w-6xl"
      columns={[
        textColumn('people', 'People', (row) => row.people.join(', ') || 'nobody'),
        textColumn('holds', 'Applies to', holds),
        {
          id: 'rights',
          head: 'Rights',
          numeric: true,
          text: (row) =>
            abilities
              .filter(({ code }) => row.abilities.includes(code))
              .map(({ name }) => name)
              .join('; '),
          cell: (row) => `${row.abilities.length} of ${abilities.length}`,
        },
        statusColumn(),
      ]}
      form={(row, onDone) => (
        <RoleForm
          key={row === null ? String(roles.data?.length) : `${row.code} ${row.version}`}
          role={row}
          onDone={onDone}
        />
      )}
    />
  );
}
