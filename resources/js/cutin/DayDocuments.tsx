import type { Schemas } from '../lib/api';
import { amount, day, quantity } from '../lib/format';
import { DataTable, type Column } from '../ui/DataTable';
import { DateInput } from '../ui/DateInput';
import { effect } from './effect';
import { numberColumn } from './numberColumn';
import { turn, type Question } from './question';

type Page = Schemas['CutInPage'];
type Document = Schemas['CutInDocument'];

interface Touched extends Document {
  what: string;
}

const columns: Column<Touched>[] = [
  { id: 'what', head: 'Effect', text: (r) => r.what, cell: (r) => r.what },
  numberColumn('document', 'Document', (r) => r.document),
  numberColumn('item', 'Item', (r) => r.item),
  {
    id: 'quantity',
    head: 'Quantity',
    numeric: true,
    text: (r) => r.quantity,
    cell: (r) => `${quantity(r.quantity)} ${r.unit}`,
  },
  { id: 'due', head: 'Due', className: 'whitespace-nowrap', text: (r) => r.due ?? '', cell: (r) => day(r.due) },
  {
    id: 'fee',
    head: 'Fee',
    numeric: true,
    text: (r) => r.cancel_fee ?? '',
    cell: (r) => (r.cancel_fee === null ? '' : amount(r.cancel_fee)),
  },
  {
    id: 'cancel_by',
    head: 'Cancel by',
    className: 'whitespace-nowrap',
    text: (r) => r.cancel_by ?? '',
    cell: (r) => day(r.cancel_by),
  },
  { id: 'plant', head: 'Plant', text: (r) => r.plant, cell: (r) => r.plant },
];

interface Props {
  page: Page;
  at: number;
  question: Question;
  onChange: (question: Question) => void;
}

/**
 * The open documents that a day disturbs, down to the single one. A receipt can be let come instead of being cancelled, and expected on
 * another day than planning has.
 */
export function DayDocuments({ page, at, question, onChange }: Props) {
  const on = page.days[at]?.on ?? '';
  const kept = question.not_cancelled ?? [];
  const expected = question.expected ?? [];
  const touched = page.documents.flatMap((one): Touched[] => {
    const what = effect(one, on, kept);
    return what === null ? [] : [{ ...one, what }];
  });
  const withLevers: Column<Touched>[] = [
    ...columns,
    {
      id: 'expected',
      head: 'Expected',
      text: (r) => r.expected ?? '',
      cell: (r) =>
        r.role === 'goes' || r.role === 'comes' ? (
          <DateInput
            className="!h-6 w-28"
            aria-label={`Day on which ${r.document} is expected`}
            value={expected.find((one) => one.document === r.document)?.on ?? r.expected ?? ''}
            onChange={(next) => {
              const others = expected.filter((one) => one.document !== r.document);
              const list = next === '' || next === r.due ? others : [...others, { document: r.document, on: next }];
              onChange(turn(question, 'expected', list));
            }}
          />
        ) : null,
    },
    {
      id: 'let',
      head: '',
      silent: true,
      text: () => '',
      cell: (r) =>
        r.cancel_fee !== null ? (
          <label className="flex items-center gap-1.5 text-sm whitespace-nowrap">
            <input
              type="checkbox"
              aria-label={`Do not cancel ${r.document}`}
              checked={kept.includes(r.document)}
              onChange={(event) => {
                const others = kept.filter((one) => one !== r.document);
                onChange(turn(question, 'not_cancelled', event.target.checked ? [...others, r.document] : others));
              }}
            />
            keep
          </label>
        ) : null,
    },
  ];
  return (
    <DataTable
      label="Documents affected on this day"
      caption={`Open orders affected on ${day(on)}, and all receipts`}
      exportName={`cut-in-${on}`}
      rows={touched}
      columns={withLevers}
      keyOf={(row) => `${row.role} ${row.document} ${row.item} ${row.plant}`}
      empty="No open document is affected on that day."
    />
  );
}
