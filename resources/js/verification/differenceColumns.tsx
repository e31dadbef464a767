import type { Schemas } from '../lib/api';
import { day, moment } from '../lib/format';
import type { Column } from '../ui/DataTable';
import { Mark } from '../ui/Mark';
import { ChangeNumber, ItemNumber } from '../ui/Num';

export type Difference = Schemas['DifferenceRow'];

/** Why planning's copy differs. */
export const movers = {
  there: 'Changed in planning',
  never: 'Never accepted',
  here: 'On its way',
} as const;

const structures = { engineering: 'Engineering', manufacturing: 'Manufacturing', item_data: 'Item data' } as const;
/** Seen from here: what planning has to add, it lacks. */
const marks = { add: 'added', remove: 'removed', replace: 'replaced', change: 'changed', keep: 'unchanged' } as const;
const kinds = {
  add: 'missing there',
  remove: 'only there',
  replace: 'another there',
  change: 'different there',
  keep: '',
} as const;

const fields: Record<string, string> = {
  effectiveFrom: 'effective from',
  firstDay: 'first day',
  lastDay: 'last day',
  componentRevision: 'revision of component',
  byProduct: 'by-product',
  operationTitle: 'title',
  workCentre: 'work centre',
  setUp: 'set-up',
  runPer: 'run per',
  leadTime: 'lead time',
};

const what = (r: Difference) => `${structures[r.structure]}${r.plant === '' ? '' : ` at ${r.plant}`}`;
const days = ['effectiveFrom', 'firstDay', 'lastDay'];

/** "4 pc, operation 20"; what names the line already is said only where it is another one. */
function said(r: Difference, side: 'there' | 'here'): string {
  const of = (name: string) => r.fields.find(({ field }) => field === name)?.[side] ?? '';
  const amount = [of('quantity'), of('unit')].filter(Boolean).join(' ');
  const others = r.fields
    .filter(({ field }) => !['quantity', 'unit', 'value'].includes(field))
    .filter(({ field }) => field !== 'component' || r.mark === 'replace')
    .filter((field) => field[side] !== '')
    .map(
      (field) => `${fields[field.field] ?? field.field} ${days.includes(field.field) ? day(field[side]) : field[side]}`,
    );
  return [of('value'), amount, ...others].filter(Boolean).join(', ');
}

function Said({ row, side }: { row: Difference; side: 'there' | 'here' }) {
  const text = said(row, side);
  return text === '' ? <span className="text-soft">–</span> : <>{text}</>;
}

/** A row of planning's copy beside what holds here, who moved, and since when it is known. */
export const differenceColumns: Column<Difference>[] = [
  {
    id: 'item',
    head: 'Item',
    text: (r) => r.item,
    cell: (r) => (
      <span className="whitespace-nowrap">
        <ItemNumber number={r.item} /> {r.revision}
      </span>
    ),
  },
  { id: 'what', head: 'Structure', text: what, cell: what },
  {
    id: 'part',
    head: 'Part',
    text: (r) => r.part,
    cell: (r) => (
      <a href={r.page} target="_blank" rel="noreferrer" className="text-accent underline underline-offset-3">
        {r.part}
      </a>
    ),
  },
  {
    id: 'mark',
    head: 'Difference',
    text: (r) => kinds[r.mark],
    cell: (r) => (
      <>
        <Mark value={marks[r.mark]} /> {kinds[r.mark]}
      </>
    ),
  },
  { id: 'there', head: 'In planning', text: (r) => said(r, 'there'), cell: (r) => <Said row={r} side="there" /> },
  { id: 'here', head: 'Here', text: (r) => said(r, 'here'), cell: (r) => <Said row={r} side="here" /> },
  {
    id: 'mover',
    head: 'Why',
    text: (r) => `${movers[r.mover]} ${r.reason}`.trim(),
    cell: (r) => (
      <span className={r.mover === 'here' ? 'text-soft' : r.mover === 'never' ? 'text-warn' : 'text-alarm'}>
        {movers[r.mover]}
        {r.reason !== '' && <span className="block text-sm text-soft">{r.reason}</span>}
      </span>
    ),
  },
  {
    id: 'order',
    head: 'Released by',
    text: (r) => r.order ?? '',
    cell: (r) => (r.order === null ? null : <ChangeNumber number={r.order} />),
  },
  {
    id: 'found',
    head: 'Since',
    text: (r) => moment(r.found_at),
    cell: (r) => <span title={moment(r.found_at)}>{day(r.found_at.slice(0, 10))}</span>,
  },
];

/** What a request says of it, so that nobody types it again. */
export function requestAbout(rows: Difference[]): string {
  const items = [...new Set(rows.map(({ item }) => item))];
  const lines = rows.map(
    (r) =>
      `${r.item} ${r.revision}, ${what(r)}, ${r.part}: ${said(r, 'there') || 'nothing'} in planning, ${said(r, 'here') || 'nothing'} here`,
  );
  return `/requests/new?${new URLSearchParams({
    items: items.join(','),
    title: `Planning differs: ${items.length > 2 ? `${items.length} items` : items.join(', ')}`,
    description: lines.join('\n').slice(0, 1500),
  })}`;
}
