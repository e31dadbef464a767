import type { Schemas } from '../lib/api';
import { amount, day, quantity } from '../lib/format';
import { supplyKinds } from '../lib/words';
import { DataTable, type Column } from '../ui/DataTable';

type Page = Schemas['CutInPage'];
type Document = Schemas['CutInDocument'];

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
      silent: true,
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
      empty="No open document is affected on that day."
    />
  );
}
