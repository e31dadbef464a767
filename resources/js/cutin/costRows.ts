import type { Schemas } from '../lib/api';

type Day = Schemas['CutInDayRow'];
type Single = Schemas['CutInRow'];

const parts = {
  leftover: 'Leftover stock and receipts',
  cancellation: 'Receipts cancelled',
  shortage: 'Shortage and expediting',
  straddling: 'Work orders in progress',
  recurring: 'Cost difference new vs old, to end of horizon',
} as const;

export type Part = keyof typeof parts;

/** One row of what a day costs: a part, a single order of it, or the sum below them. */
export interface CostRow {
  key: string;
  level: 1 | 2;
  part: Part | 'total' | 'disturbed';
  name: string;
  /** The single order or stock, where it is one. */
  single: Single | null;
  /** Decimal in the currency of the page; a count of orders in the last row. Empty where a part has nothing. */
  now: string;
  /** The same of the plan compared. */
  then: string | null;
}

const words: Record<Single['what'], (row: Single) => string> = {
  stock: () => 'On the shelf today',
  receipt: (row) => (row.part === 'cancellation' ? 'Cancelled receipt' : 'Incoming receipt'),
  lot: () => 'Surplus of the last lot',
  order: (row) => (row.quantity.startsWith('-') ? 'Order that no longer uses' : 'Order that uses'),
  planned: (row) => (row.quantity.startsWith('-') ? 'Later orders no longer use' : 'Later orders use'),
  sale: () => 'Sold as a part:',
  hurried: () => 'Expedited:',
  missing: () => 'Missing:',
  fee: () => 'Expediting fee for',
  under_way: () => 'Work order in progress',
  rest: (row) => row.document,
};

/**
 * The parts in their order, below each that is open what it is made of (null: not yet known), and the total. What a dearer part costs more
 * from the day on stands below it, where it does not count.
 */
export function costRows(
  now: Day,
  then: Day | null,
  single: readonly Single[] | null,
  open: ReadonlySet<Part>,
  countsRecurring: boolean,
): CostRow[] {
  const row = (part: CostRow['part'], name: string): CostRow => ({
    key: part,
    level: 1,
    part,
    name,
    single: null,
    now: String(now[part]),
    then: then && String(then[part]),
  });
  const below = (part: Part): CostRow[] => {
    if (!open.has(part) || single === null) return [];
    const mine = single.filter((one) => one.part === part);
    if (mine.length === 0) {
      const name = 'Nothing on this day.';
      return [{ key: `${part} none`, level: 2, part, name, single: null, now: '', then: null }];
    }
    return mine.map((one, at) => ({
      key: `${part} ${one.document} ${one.item} ${at}`,
      level: 2,
      part,
      name: words[one.what](one),
      single: one,
      now: one.amount,
      then: null,
    }));
  };
  const told = (part: Part, name: string) => [row(part, name), ...below(part)];
  const counted = (Object.entries(parts) as [Part, string][]).filter(
    ([part]) => countsRecurring || part !== 'recurring',
  );
  return [
    ...counted.flatMap(([part, name]) => told(part, name)),
    row('total', 'Total'),
    ...(countsRecurring ? [] : told('recurring', `${parts.recurring}: not counted`)),
    row('disturbed', 'Open orders affected'),
  ];
}
