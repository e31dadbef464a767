import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { Schemas } from '../lib/api';
import { queries } from '../lib/queries';
import { useMay } from '../lib/session';
import { DataTable } from '../ui/DataTable';
import { Loading } from '../ui/Loading';
import { Page } from '../ui/Page';
import { changeColumn } from '../ui/table/changeColumn';
import { GroupForm } from './GroupForm';

type Group = Schemas['GroupRow'];

/** Groups of people: what is asked of a group, whoever of it claims it does. */
export function GroupsPage() {
  const groups = useQuery(queries.groups());
  const maySet = useMay('set_up');
  const [open, setOpen] = useState<string | null>(null);
  return (
    <Page title="Groups" over="Set-up">
      <Loading query={groups}>
        {(rows) => {
          const opened = rows.find(({ code }) => code === open);
          const status = (row: Group) => (row.retired ? 'retired' : 'active');
          const names = (row: Group) => row.names.join(', ');
          return (
            <div className="max-w-4xl space-y-4">
              <p className="text-soft">A task for a group is on the Desk of all of its people, until one claims it.</p>
              <DataTable
                label="Groups"
                rows={rows}
                keyOf={(row) => row.code}
                empty="No group is set up yet: tasks are given to single people."
                columns={[
                  {
                    id: 'code',
                    head: 'Code',
                    text: (row) => row.code,
                    cell: (row) => <span className="font-mono text-[0.84rem]">{row.code}</span>,
                  },
                  { id: 'name', head: 'Name', text: (row) => row.name, cell: (row) => row.name },
                  { id: 'people', head: 'People', text: names, cell: names },
                  { id: 'status', head: 'Status', text: status, cell: status },
                  ...(maySet ? [changeColumn<Group>(open, setOpen)] : []),
                ]}
              />
              {opened && <GroupForm key={opened.code} group={opened} onDone={() => setOpen(null)} />}
              {maySet && !opened && <GroupForm key={rows.length} group={null} onDone={() => setOpen(null)} />}
            </div>
          );
        }}
      </Loading>
    </Page>
  );
}
