import type { Schemas } from '../lib/api';
import { amount } from '../lib/format';
import { states } from '../lib/words';
import { inMoney } from '../lib/settings';
import type { Column } from '../ui/DataTable';
import { ItemNumber } from '../ui/Num';
import { Status } from '../ui/Status';
import { Thumbnail } from '../ui/Thumbnail';

type Item = Schemas['ItemRow'];

/** How an item reads in any list. */
export const itemColumns: Column<Item>[] = [
  { id: 'number', head: 'Number', text: (i) => i.number, cell: (i) => <ItemNumber number={i.number} /> },
  {
    id: 'picture',
    head: 'Picture',
    silent: true,
    text: () => '',
    cell: (i) => <Thumbnail file={i.picture} />,
  },
  { id: 'title', head: 'Title', text: (i) => i.title, cell: (i) => i.title },
  {
    id: 'status',
    head: 'Revision and status',
    text: (i) =>
      [
        i.revision,
        states[i.status] ?? i.status,
        i.coming && `${i.coming.code} from ${i.coming.first_day}`,
        ...i.being_revised_by,
      ]
        .filter(Boolean)
        .join(' '),
    cell: (i) => <Status status={i.status} revision={i.revision} coming={i.coming} revisedBy={i.being_revised_by} />,
  },
  { id: 'kind', head: 'Kind', text: (i) => i.kind, cell: (i) => i.kind },
  { id: 'category', head: 'Category', text: (i) => i.category, cell: (i) => i.category },
  { id: 'unit', head: 'Unit', text: (i) => i.unit, cell: (i) => i.unit },
  {
    id: 'cost',
    get head() {
      return inMoney('Standard cost');
    },
    numeric: true,
    text: (i) => i.standard_cost ?? '',
    sort: (i) => i.standard_cost,
    cell: (i) => (i.standard_cost === null ? 'not known' : amount(i.standard_cost)),
  },
];
