import type { Schemas } from '../../lib/api';
import { marks } from '../../lib/words';
import type { Column } from '../../ui/DataTable';
import { Mark } from '../../ui/Mark';
import { ChangeNumber, ItemNumber } from '../../ui/Num';
import { workOf } from './sheetRows';

type Change = Schemas['SheetChange'];

/** What a sheet changes: lines, and what its head says of the order. */
export const sheetChangeColumns: Column<Change>[] = [
  {
    id: 'mark',
    head: 'Difference',
    className: 'w-28',
    text: ({ mark }) => marks[mark].word,
    cell: ({ mark }) => <Mark value={mark} word />,
  },
  {
    id: 'item',
    head: 'Parent',
    text: ({ item }) => item,
    cell: ({ item, work }) => (work === 'order' ? <ChangeNumber number={item} /> : <ItemNumber number={item} />),
  },
  { id: 'structure', head: 'Structure', text: ({ work }) => workOf(work), cell: ({ work }) => workOf(work) },
  {
    id: 'find',
    head: 'Find',
    numeric: true,
    text: ({ find }) => (find === 0 ? '' : String(find)),
    cell: ({ find }) => (find === 0 ? '' : find),
  },
  {
    id: 'component',
    head: 'Component',
    text: ({ component }) => component,
    cell: ({ component }) => component !== '' && <ItemNumber number={component} />,
  },
  {
    id: 'fields',
    head: 'Changes',
    text: ({ fields }) => fields.join(', '),
    cell: ({ fields }) => fields.join(', '),
  },
];
