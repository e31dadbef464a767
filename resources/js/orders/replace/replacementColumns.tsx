import type { Schemas } from '../../lib/api';
import { day, quantity, signed } from '../../lib/format';
import { inMoney } from '../../lib/settings';
import { Mark } from '../../ui/Mark';
import type { Column } from '../../ui/DataTable';
import { itemColumn } from '../../ui/table/columns';
import { workOf } from '../worksheet/sheetRows';

export type Row = Schemas['ReplacementRow'];
type Line = Schemas['LineRow'];

export const keyOf = (row: Row) => `${row.item.number} ${row.work} ${row.before.key}`;

const markOf = (row: Row) => (row.after.length === 0 ? 'removed' : 'replaced');

/** A line but for its parent: "2 pc 200-0041 from 1 Mar 2027". */
function said(line: Line, old: string): string {
  return [
    `${quantity(line.quantity)} ${line.unit}`,
    line.component === old ? '' : line.component,
    line.first_day === null ? '' : `from ${day(line.first_day)}`,
    line.last_day === null ? '' : `until ${day(line.last_day)}`,
  ]
    .filter((part) => part !== '')
    .join(' ');
}

const afterOf = (row: Row) =>
  row.fault !== null
    ? ''
    : row.after.length === 0
      ? 'removed'
      : row.after.map((line) => said(line, row.before.component)).join(' + ');

/** What somebody has to know before: why it cannot be so, or what else is there. */
function remarks(row: Row, order: string): string[] {
  return [
    ...(row.fault === null ? [] : [row.fault]),
    ...row.beside.map(
      (line) => `${line.component} stands there already: find ${line.find}, ${quantity(line.quantity)} ${line.unit}`,
    ),
    ...(row.elsewhere.length === 0 ? [] : [`Also revised by ${row.elsewhere.join(', ')}`]),
    ...(row.without_cost.length === 0 ? [] : [`No cost known of ${row.without_cost.join(', ')}`]),
    ...(row.named ? [] : [`Will be named on ${order}`]),
  ];
}

export function replacementColumns(order: string): Column<Row>[] {
  return [
    {
      id: 'mark',
      head: '',
      silent: true,
      className: 'w-6',
      text: () => '',
      cell: (row) => (row.fault === null ? <Mark value={markOf(row)} /> : <span className="text-alarm">▲</span>),
    },
    itemColumn((row) => row.item),
    {
      id: 'where',
      head: 'Structure',
      className: 'whitespace-nowrap',
      text: (row) => workOf(row.work),
      cell: (row) => workOf(row.work),
    },
    { id: 'find', head: 'Find', numeric: true, text: (row) => String(row.before.find), cell: (row) => row.before.find },
    {
      id: 'before',
      head: 'Now',
      className: 'whitespace-nowrap',
      text: (row) => said(row.before, row.before.component),
      cell: (row) => said(row.before, row.before.component),
    },
    {
      id: 'after',
      head: 'Then',
      className: 'whitespace-nowrap',
      text: afterOf,
      cell: (row) =>
        row.fault !== null ? (
          <span className="text-soft">stays</span>
        ) : (
          <ins className="font-semibold no-underline">{afterOf(row)}</ins>
        ),
    },
    {
      id: 'cost',
      get head() {
        return inMoney('Difference per parent');
      },
      numeric: true,
      text: (row) => row.cost,
      cell: (row) => signed(row.cost),
    },
    {
      id: 'remarks',
      head: 'Remarks',
      text: (row) => remarks(row, order).join(' · '),
      cell: (row) => {
        const text = remarks(row, order).join(' · ');
        return (
          <span className={row.fault === null ? 'text-sm' : 'text-sm text-alarm'} title={text}>
            {text}
          </span>
        );
      },
    },
  ];
}
