import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { Schemas } from '../lib/api';
import { queries } from '../lib/queries';
import { useMay } from '../lib/session';
import { DataTable } from '../ui/DataTable';
import { Loading } from '../ui/Loading';
import { Page } from '../ui/Page';
import { changeColumn } from '../ui/table/changeColumn';
import { useRecipients } from '../ui/useRecipients';
import { DistributionForm } from './DistributionForm';

type List = Schemas['DistributionListRow'];

/** What a list asks of a change: any, where it asks nothing. */
const asks = (row: List) =>
  [row.plants, row.products, row.categories]
    .filter((some) => some.length > 0)
    .map((some) => some.join(' or '))
    .join('; ') || 'every change';

const acknowledgement = (row: List) =>
  !row.acknowledge
    ? 'not asked'
    : row.days === null
      ? 'asked'
      : `within ${row.days} ${row.days === 1 ? 'day' : 'days'}`;

/** To whom notices of which changes go when they are released. */
export function DistributionPage() {
  const lists = useQuery(queries.distributionLists());
  const maySet = useMay('set_up');
  const names = useRecipients();
  const [open, setOpen] = useState<string | null>(null);
  const status = (row: List) => (row.retired ? 'retired' : 'active');
  const to = (row: List) => row.recipients.map((one) => names[one] ?? one).join(', ');
  return (
    <Page title="Distribution of change notices" over="Set-up">
      <Loading query={lists}>
        {(rows) => {
          const opened = rows.find(({ code }) => code === open);
          return (
            <div className="max-w-5xl space-y-4">
              <p className="text-soft">
                At release, a change notice goes to every list that the change meets: its plant, its product and its
                category, where the list names any.
              </p>
              <DataTable
                label="Distribution lists"
                rows={rows}
                keyOf={(row) => row.code}
                empty="No list is set up yet: change notices are issued and sent to nobody."
                columns={[
                  {
                    id: 'code',
                    head: 'Code',
                    text: (row) => row.code,
                    cell: (row) => <span className="font-mono text-[0.84rem]">{row.code}</span>,
                  },
                  { id: 'name', head: 'Name', text: (row) => row.name, cell: (row) => row.name },
                  { id: 'asks', head: 'Changes of', text: asks, cell: asks },
                  { id: 'to', head: 'Goes to', text: to, cell: to },
                  {
                    id: 'acknowledgement',
                    head: 'Acknowledgement',
                    text: acknowledgement,
                    cell: acknowledgement,
                  },
                  { id: 'status', head: 'Status', text: status, cell: status },
                  ...(maySet ? [changeColumn<List>(open, setOpen)] : []),
                ]}
              />
              {opened && (
                <DistributionForm key={`${opened.code} ${opened.version}`} list={opened} onDone={() => setOpen(null)} />
              )}
              {maySet && !opened && <DistributionForm key={rows.length} list={null} onDone={() => setOpen(null)} />}
            </div>
          );
        }}
      </Loading>
    </Page>
  );
}
