import type { Schemas } from '../lib/api';

type Hinge = Schemas['CutInHinge'];

export const guesses: Record<Hinge['guess'], string> = {
  demand: 'Demand',
  approval: 'Days until release',
  tooling: 'Day tools are ready',
  straddling: 'Cost per order in progress',
  stock: 'Stock',
  receipts: 'Quantities on order',
  lead_time: 'Lead time',
  cost: 'Standard cost',
  disposal: 'Cost of one left over',
  penalty: 'Cost of one missing',
  cancel_fees: 'Cancellation fees',
};

/** Days with their sign; where no day is possible any more, that. */
export function moved(days: number | null): string {
  if (days === null) return 'no day possible';
  if (days === 0) return 'same day';
  return `${days > 0 ? '+' : '−'}${Math.abs(days)} d`;
}
