import { useQuery } from '@tanstack/react-query';
import type { Schemas } from '../lib/api';
import { queries } from '../lib/queries';
import { useRecipients } from '../ui/useRecipients';
import { DistributionForm } from './DistributionForm';
import { SetUpList, statusColumn, textColumn } from './SetUpList';

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
  const names = useRecipients();
  return (
    <SetUpList<List>
      title="Distribution of change notices"
      about="At release, a change notice goes to every list that the change meets: its plant, its product and its category, where the list names any."
      label="Distribution lists"
      empty="No list is set up yet: change notices are issued and sent to nobody."
      query={lists}
      columns={[
        textColumn('asks', 'Changes of', asks),
        textColumn('to', 'Goes to', (row) => row.recipients.map((one) => names[one] ?? one).join(', ')),
        textColumn('acknowledgement', 'Acknowledgement', acknowledgement),
        statusColumn(),
      ]}
      form={(row, onDone) => (
        <DistributionForm
          key={row === null ? String(lists.data?.length) : `${row.code} ${row.version}`}
          list={row}
          onDone={onDone}
        />
      )}
    />
  );
}
