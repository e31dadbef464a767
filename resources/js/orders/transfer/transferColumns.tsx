import type { Schemas } from '../../lib/api';
import { day, quantity } from '../../lib/format';
import { marks } from '../../lib/words';
import { Choice } from '../../ui/Choice';
import type { Column } from '../../ui/DataTable';
import { Mark } from '../../ui/Mark';
import { ItemNumber } from '../../ui/Num';
import { workOf } from '../worksheet/sheetRows';

export type Row = Schemas['TransferRow'];
type Line = Row['before'];

/** How an edit goes with a sibling: a sign, and words. */
export const fits = {
  fits: { sign: '■', word: 'fits', look: 'text-accent' },
  differs: { sign: '△', word: 'fits with a difference', look: 'text-warn font-semibold' },
  none: { sign: '✕', word: 'no counterpart', look: 'text-alarm' },
  already: { sign: '=', word: 'reads so already', look: 'text-soft' },
} as const;

/** "200-0010 engineering" as people read it. */
export function structureOf(key: string): { item: string; where: string } {
  const [item = '', ...work] = key.split(' ');
  return { item, where: workOf(work.join(' ')) };
}

const said = (line: Line) =>
  line === null
    ? ''
    : [
        `${quantity(line.quantity)} ${line.unit} ${line.component}`,
        line.first_day === null ? '' : `from ${day(line.first_day)}`,
        line.last_day === null ? '' : `until ${day(line.last_day)}`,
      ]
        .filter((part) => part !== '')
        .join(' ');

function editOf(row: Row): string {
  if (row.before === null) return said(row.after);
  if (row.after === null) return said(row.before);
  return said(row.before) === said(row.after) ? said(row.after) : `${said(row.before)} → ${said(row.after)}`;
}

const thereOf = (row: Row) => (row.there === null ? '' : `${row.there.find}: ${said(row.there)}`);

export type Decisions = Record<string, boolean>;

/** Whether there is anything to decide about it. */
export const isOpen = (row: Row) => row.fit === 'fits' || row.fit === 'differs';

/** What is decided about a row: what simply fits is taken until somebody says otherwise. */
export function decided(row: Row, decisions: Decisions): boolean | null {
  if (!isOpen(row)) return false;
  return decisions[row.key] ?? (row.fit === 'fits' ? true : null);
}

export function transferColumns(
  decisions: Decisions,
  decide: ((row: Row, taken: boolean) => void) | null,
): Column<Row>[] {
  return [
    {
      id: 'fit',
      head: 'Fit',
      className: 'whitespace-nowrap',
      text: (row) => fits[row.fit].word,
      cell: (row) => (
        <span className={fits[row.fit].look}>
          <span aria-hidden="true">{fits[row.fit].sign}</span> {fits[row.fit].word}
        </span>
      ),
    },
    {
      id: 'edit',
      head: 'Edit',
      text: (row) => `${marks[row.mark].word}: ${editOf(row)}`,
      cell: (row) => (
        <span className="flex gap-1">
          <Mark value={row.mark} /> {editOf(row)}
        </span>
      ),
    },
    {
      id: 'target',
      head: 'Sibling',
      text: (row) => row.target,
      cell: (row) => (
        <span className="whitespace-nowrap">
          <ItemNumber number={structureOf(row.target).item} /> {structureOf(row.target).where}
        </span>
      ),
    },
    { id: 'there', head: 'There now', text: thereOf, cell: thereOf },
    { id: 'does', head: 'Would be set', text: (row) => row.does, cell: (row) => row.does },
    { id: 'reason', head: 'Why', text: (row) => row.reason, cell: (row) => row.reason },
    {
      id: 'decision',
      head: 'Carried over',
      text: (row) => ({ true: 'yes', false: 'no', null: 'open' })[String(decided(row, decisions)) as 'true'],
      cell: (row) =>
        row.fit === 'none' || row.fit === 'already' || decide === null ? (
          <span className="text-soft">{decided(row, decisions) === true ? 'yes' : 'no'}</span>
        ) : (
          <Choice<'yes' | 'no' | 'open'>
            label={`Carry over to ${structureOf(row.target).item}: ${editOf(row)}`}
            value={
              ({ true: 'yes', false: 'no', null: 'open' } as const)[
                String(decided(row, decisions)) as 'true' | 'false' | 'null'
              ]
            }
            options={{ yes: 'Yes', no: 'No' }}
            onChange={(choice) => choice !== 'open' && decide(row, choice === 'yes')}
          />
        ),
    },
  ];
}
