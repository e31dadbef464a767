import type { Schemas } from '../lib/api';
import { quantity } from '../lib/format';
import { accounts } from '../lib/words';
import type { Column } from '../ui/DataTable';
import { ItemNumber } from '../ui/Num';

type Row = Schemas['AccountRow'];
type Share = Schemas['ShareRow'];

const much = (text: string, unit: string) => `${quantity(text)} ${unit}`;

/** "4 pc at operation 30 in 200-0090", and the component where it is another than the line says. */
function shareWords(share: Share, component: string): string {
  return [
    much(share.quantity, share.unit),
    share.item.number === component ? '' : `of ${share.item.number}`,
    share.scrap ? 'and scrap' : '',
    share.operation === null ? '' : `at operation ${share.operation}`,
    share.through.length === 0 ? '' : `in ${share.through.join(' › ')}`,
  ]
    .filter(Boolean)
    .join(' ');
}

function openWords({ account, rest, unit, why }: Row): string {
  if (account !== 'open') return '';
  const amount = rest.startsWith('-') ? `${much(rest.slice(1), unit)} too much` : rest === '0' ? '' : much(rest, unit);
  return [amount, why ?? ''].filter(Boolean).join('; ');
}

function recordWords({ record, line }: Row): string {
  if (record === null) return '';
  if (record.by === null) return record.reason;
  return `${much(record.new, record.unit ?? '')} of ${record.by} for ${much(record.old, line.unit)}: ${record.reason}`;
}

/** An engineering line, what of manufacturing stands for it, and what is open. */
export const accountColumns: Column<Row>[] = [
  { id: 'find', head: 'Find', numeric: true, text: ({ line }) => String(line.find), cell: ({ line }) => line.find },
  {
    id: 'component',
    head: 'Component',
    text: ({ line }) => line.component,
    cell: ({ line }) => <ItemNumber number={line.component} />,
  },
  { id: 'title', head: 'Title', text: ({ item }) => item.title, cell: ({ item }) => item.title },
  {
    id: 'quantity',
    head: 'Engineering',
    numeric: true,
    className: 'whitespace-nowrap',
    text: ({ line }) => `${line.quantity} ${line.unit}`,
    cell: ({ line }) => much(line.quantity, line.unit),
  },
  {
    id: 'account',
    head: 'Accounted for',
    text: ({ account }) => accounts[account],
    cell: ({ account }) => (
      <span className={account === 'open' ? 'font-semibold text-warn' : ''}>{accounts[account]}</span>
    ),
  },
  {
    id: 'built',
    head: 'Manufacturing',
    text: ({ shares, line }) => shares.map((share) => shareWords(share, line.component)).join('; '),
    cell: ({ shares, line }) =>
      shares.map((share) => (
        <span key={`${share.through.join(' ')} ${share.key}`} className="block">
          {shareWords(share, line.component)}
        </span>
      )),
  },
  {
    id: 'open',
    head: 'Open',
    text: openWords,
    cell: (row) => <span className="text-warn">{openWords(row)}</span>,
  },
  { id: 'record', head: 'On record', text: recordWords, cell: recordWords },
];

/** What says how a line would be taken over. */
function whoSays({ suggested_by: by, suggested_of: of }: Row): string {
  switch (by) {
    case 'before':
      return 'as it was built';
    case 'sibling':
      return `as ${of} is built`;
    case 'category':
      return `as ${of} are`;
    case 'neighbour':
      return 'where the line before it is';
    default:
      return '';
  }
}

/** How a line that is open would be taken over by itself, and what says so. */
export const suggestedColumn: Column<Row> = {
  id: 'suggested',
  head: 'Would be taken over by',
  text: (row) => [row.suggested.join('; '), whoSays(row)].filter(Boolean).join(', '),
  cell: (row) =>
    row.suggested.length > 0 ? (
      <>
        {row.suggested.join('; ')} <span className="block text-sm text-soft">{whoSays(row)}</span>
      </>
    ) : row.account === 'open' ? (
      <span className="text-soft">your decision</span>
    ) : (
      ''
    ),
};
