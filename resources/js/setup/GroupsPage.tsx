import { useQuery } from '@tanstack/react-query';
import type { Schemas } from '../lib/api';
import { queries } from '../lib/queries';
import { GroupForm } from './GroupForm';
import { SetUpList, statusColumn, textColumn } from './SetUpList';

type Group = Schemas['GroupRow'];

/** Groups of people: what is asked of a group, whoever of it claims it does. */
export function GroupsPage() {
  const groups = useQuery(queries.groups());
  return (
    <SetUpList<Group>
      title="Groups"
      about="A task for a group is on the Desk of all of its people, until one claims it."
      label="Groups"
      empty="No group is set up yet: tasks are given to single people."
      query={groups}
      width="max-w-4xl"
      columns={[textColumn('people', 'People', (row) => row.names.join(', ')), statusColumn()]}
      form={(row, onDone) => <GroupForm key={row?.code ?? String(groups.data?.length)} group={row} onDone={onDone} />}
    />
  );
}
