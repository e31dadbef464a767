import { describe, expect, it } from 'vitest';
import type { Schemas } from '../lib/api';
import { costRows, type Part } from './costRows';

const now = {
  on: '2026-12-01',
  possible: true,
  at_risk: '0.00',
  leftover: '10.00',
  cancellation: '5.00',
  shortage: '0.00',
  straddling: '0.00',
  recurring: '-3.00',
  total: '12.00',
  disturbed: 2,
};
const single = (part: Part, what: Schemas['CutInRow']['what'], amount: string) =>
  ({
    part,
    what,
    amount,
    document: 'PO-1',
    of: '200-0040',
    item: '',
    title: '',
    plant: 'Weir',
    on: null,
    quantity: '1',
    unit: 'm',
  }) satisfies Schemas['CutInRow'];
const names = (open: Part[], rows: Schemas['CutInRow'][] | null, counts = true) =>
  costRows(now, null, rows, new Set(open), counts).map(({ name, now: value }) => `${name} ${value}`);

describe('what a day costs', () => {
  it('is its parts in their order, the total and the orders affected', () => {
    expect(names([], null)).toEqual([
      'Leftover stock and receipts 10.00',
      'Receipts cancelled 5.00',
      'Shortage and expediting 0.00',
      'Work orders in progress 0.00',
      'Cost difference new vs old, to end of horizon -3.00',
      'Total 12.00',
      'Open orders affected 2',
    ]);
  });

  it('opens a part down to what it is made of, and says when that is nothing', () => {
    const rows = [single('leftover', 'stock', '6.00'), single('leftover', 'receipt', '4.00')];
    expect(names(['leftover', 'shortage'], rows).slice(0, 6)).toEqual([
      'Leftover stock and receipts 10.00',
      'On the shelf today 6.00',
      'Incoming receipt 4.00',
      'Receipts cancelled 5.00',
      'Shortage and expediting 0.00',
      'Nothing on this day. ',
    ]);
    // Not yet answered is not nothing.
    expect(names(['leftover'], null)).toHaveLength(7);
  });

  it('tells below the total what does not count', () => {
    expect(names([], null, false).slice(-3)).toEqual([
      'Total 12.00',
      'Cost difference new vs old, to end of horizon: not counted -3.00',
      'Open orders affected 2',
    ]);
  });
});
