import clsx from 'clsx';
import { Fragment, useState } from 'react';
import type { Schemas } from '../lib/api';
import { amount, day, quantity, signed } from '../lib/format';
import { supplyKinds } from '../lib/words';
import { DataTable, type Column } from '../ui/DataTable';
import { CostRows } from './CostRows';

type Page = Schemas['CutInPage'];
type Document = Schemas['CutInDocument'];

const parts = [
  ['leftover', 'Leftover of the old part'],
  ['cancellation', 'Receipts cancelled'],
  ['shortage', 'Shortage and expediting'],
  ['straddling', 'Work orders in progress'],
  ['recurring', 'Cost difference new vs old, to end of horizon'],
] as const;

interface DayPartsProps {
  question: Schemas['CutInQuestion'];
  page: Page;
  held: Page | null;
  at: number;
}

/** The cost of one day in its parts, beside that of a plan held to compare; each part opens down to single orders. */
export function DayParts({ question, page, held, at }: DayPartsProps) {
  const [open, setOpen] = useState<(typeof parts)[number][0] | null>(null);
  const now = page.days[at];
  const then = held?.days[at];
  if (!now) return null;
  return (
    <table aria-label={`What ${day(now.on)} costs`} className="w-full border-collapse border-y border-strong bg-sheet">
      <thead>
        <tr className="border-b border-strong text-left text-sm text-soft">
          <th className="px-2 py-1 font-medium">Cut in on {day(now.on)}</th>
          <th className="px-2 py-1 text-right font-medium">{page.currency}</th>
          {then && <th className="px-2 py-1 text-right font-medium text-plum">compared</th>}
        </tr>
      </thead>
      <tbody>
        {parts.map(([name, label]) => (
          <Fragment key={name}>
            <tr className="border-b border-rule">
              <td className="px-2 py-1">
                <button
                  type="button"
                  aria-expanded={open === name}
                  className={clsx(
                    'min-h-6 text-left before:mr-1 before:inline-block before:w-3 before:text-soft hover:underline',
                    open === name ? "before:content-['▾']" : "before:content-['▸']",
                  )}
                  onClick={() => setOpen(open === name ? null : name)}
                >
                  {label}
                </button>
              </td>
              <td className="px-2 py-1 text-right">{name === 'recurring' ? signed(now[name]) : amount(now[name])}</td>
              {then && <td className="px-2 py-1 text-right text-plum">{amount(then[name])}</td>}
            </tr>
            {open === name && (
              <tr className="border-b border-rule">
                <td colSpan={then ? 3 : 2} className="p-0">
                  <CostRows question={question} on={now.on} part={name} />
                </td>
              </tr>
            )}
          </Fragment>
        ))}
        <tr className="font-semibold">
          <td className="px-2 py-1">Total</td>
          <td className="px-2 py-1 text-right">{amount(now.total)}</td>
          {then && <td className="px-2 py-1 text-right text-plum">{amount(then.total)}</td>}
        </tr>
        <tr>
          <td className="px-2 py-1 text-soft">Open orders affected</td>
          <td className="px-2 py-1 text-right text-soft">{now.disturbed}</td>
          {then && <td className="px-2 py-1 text-right text-plum">{then.disturbed}</td>}
        </tr>
      </tbody>
    </table>
  );
}

interface Touched extends Document {
  what: string;
}

const columns: Column<Touched>[] = [
  { id: 'what', head: 'Effect', text: (r) => r.what, cell: (r) => r.what },
  {
    id: 'document',
    head: 'Document',
    text: (r) => r.document,
    cell: (r) => <span className="font-mono text-sm">{r.document}</span>,
  },
  { id: 'kind', head: 'Kind', text: (r) => kindOf(r), cell: (r) => kindOf(r) },
  { id: 'item', head: 'Item', text: (r) => r.item, cell: (r) => <span className="font-mono text-sm">{r.item}</span> },
  {
    id: 'quantity',
    head: 'Quantity',
    numeric: true,
    text: (r) => r.quantity,
    cell: (r) => `${quantity(r.quantity)} ${r.unit}`,
  },
  { id: 'first', head: 'Start', text: (r) => r.first ?? '', cell: (r) => day(r.first) },
  { id: 'due', head: 'Due', text: (r) => r.due ?? '', cell: (r) => day(r.due) },
  {
    id: 'fee',
    head: 'Fee',
    numeric: true,
    text: (r) => r.cancel_fee ?? '',
    cell: (r) => (r.cancel_fee === null ? '' : amount(r.cancel_fee)),
  },
];

function kindOf(row: Document): string {
  return supplyKinds[row.kind as keyof typeof supplyKinds];
}

/** The open documents that a day disturbs, down to the single one. A receipt can be let come instead of being cancelled. */
export function DayDocuments({
  page,
  at,
  notCancelled,
  onLet,
}: {
  page: Page;
  at: number;
  notCancelled: string[];
  onLet: (document: string, let_: boolean) => void;
}) {
  const on = page.days[at]?.on ?? '';
  const touched = page.documents.flatMap((one): Touched[] => {
    if (one.role === 'straddles') {
      return one.first !== null && one.due !== null && one.first < on && on < one.due
        ? [{ ...one, what: 'in progress on that day' }]
        : [];
    }
    if (one.role !== 'old' || (one.due ?? '') < on) return [];
    const let_ = notCancelled.includes(one.document);
    return [
      {
        ...one,
        what: one.cancel_fee === null ? 'arrives, cannot be cancelled' : let_ ? 'arrives, not cancelled' : 'cancelled',
      },
    ];
  });
  const withLever: Column<Touched>[] = [
    ...columns,
    {
      id: 'let',
      head: '',
      text: () => '',
      cell: (r) =>
        r.role === 'old' && r.cancel_fee !== null ? (
          <label className="flex items-center gap-1.5 text-sm whitespace-nowrap">
            <input
              type="checkbox"
              aria-label={`Do not cancel ${r.document}`}
              checked={notCancelled.includes(r.document)}
              onChange={(event) => onLet(r.document, event.target.checked)}
            />
            keep
          </label>
        ) : null,
    },
  ];
  return (
    <DataTable
      label="Documents affected on this day"
      caption={`Open orders affected on ${day(on)}`}
      exportName={`cut-in-${on}`}
      rows={touched}
      columns={withLever}
      keyOf={(row) => `${row.role} ${row.document} ${row.item}`}
      empty={<span className={clsx('text-soft')}>No open document is affected on that day.</span>}
    />
  );
}
