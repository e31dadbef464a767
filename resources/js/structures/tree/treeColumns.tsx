import { day, quantity } from '../../lib/format';
import type { Column } from '../../ui/DataTable';
import { Mark } from '../../ui/Mark';
import { ChangeNumber, ItemNumber } from '../../ui/Num';
import { Status } from '../../ui/Status';
import { matches, type TreeRow } from './treeRows';

function remarks({ line }: TreeRow): string {
  return [
    line.designators,
    line.notes,
    line.not_modelled ? 'not modelled' : '',
    line.phantom ? 'phantom' : '',
    line.by_product ? 'by-product, comes out' : '',
    line.first_day ? `from ${day(line.first_day)}` : '',
    line.last_day ? `until ${day(line.last_day)}` : '',
  ]
    .filter(Boolean)
    .join(' · ');
}

/** The columns of a structure; what is looked for is marked. */
export function treeColumns(words: string): Column<TreeRow>[] {
  const wanted = words.trim().toLowerCase();
  return [
    { id: 'find', head: 'Find', text: (row) => String(row.line.find), cell: (row) => row.line.find },
    {
      id: 'component',
      head: 'Component',
      text: (row) => row.item.number,
      cell: (row) => <ItemNumber number={row.item.number} />,
    },
    {
      id: 'title',
      head: 'Title',
      text: (row) => row.item.title,
      className: 'max-w-64',
      cell: (row) => (
        <span title={row.item.title}>
          {wanted !== '' && matches(row, wanted) ? <mark>{row.item.title}</mark> : row.item.title}
        </span>
      ),
    },
    {
      id: 'revision',
      head: 'Revision',
      text: (row) => row.revision ?? '',
      cell: (row) => (
        <span className="whitespace-nowrap">
          <Status status={row.status} revision={row.revision} revisedBy={row.item.being_revised_by} />
          {row.line.revision !== null && <span className="text-sm text-soft"> fixed on the line</span>}
        </span>
      ),
    },
    {
      id: 'quantity',
      head: 'Quantity',
      numeric: true,
      text: (row) => row.line.quantity,
      cell: (row) => quantity(row.line.quantity),
    },
    { id: 'unit', head: 'Unit', text: (row) => row.line.unit, cell: (row) => row.line.unit },
    {
      id: 'extended',
      head: 'Extended',
      numeric: true,
      text: (row) => row.extended,
      cell: (row) => <span className="text-soft">{quantity(row.extended)}</span>,
    },
    {
      id: 'remarks',
      head: 'Designators, notes',
      text: remarks,
      className: 'max-w-72',
      cell: (row) => (
        <span className="text-sm" title={remarks(row)}>
          {row.mark && row.order && (
            <span className="mr-2">
              <Mark value={row.mark} word /> by <ChangeNumber number={row.order} />
            </span>
          )}
          {remarks(row)}
        </span>
      ),
    },
    {
      id: 'category',
      head: 'Category',
      text: (row) => row.item.category,
      cell: (row) => row.item.category,
      hidden: true,
    },
    {
      id: 'operation',
      head: 'Operation',
      text: (row) => String(row.line.operation ?? ''),
      cell: (row) => row.line.operation,
      hidden: true,
    },
    {
      id: 'scrap',
      head: 'Scrap, %',
      text: (row) => row.line.scrap,
      cell: (row) => row.line.scrap,
      numeric: true,
      hidden: true,
    },
  ];
}

/** A whole row says its level as well, and designators and notes apart. */
export const wholeRow: { head: string; text: (row: TreeRow) => string; numeric?: boolean }[] = [
  { head: 'Level', text: (row) => String(row.level), numeric: true },
  { head: 'Find', text: (row) => String(row.line.find), numeric: true },
  { head: 'Component', text: (row) => row.item.number },
  { head: 'Title', text: (row) => row.item.title },
  { head: 'Revision', text: (row) => row.revision ?? '' },
  { head: 'Quantity', text: (row) => row.line.quantity, numeric: true },
  { head: 'Unit', text: (row) => row.line.unit },
  { head: 'Extended', text: (row) => row.extended, numeric: true },
  { head: 'Designators', text: (row) => row.line.designators },
  { head: 'Notes', text: (row) => row.line.notes },
];
