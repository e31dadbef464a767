import type { Schemas } from '../lib/api';
import { plusDays } from '../lib/format';
import { thicker, tube } from './make';

export type Plan = Schemas['CutInPage'];

const FROM = '2026-11-25';
export const DAYS = 10;
export const on = (at: number) => plusDays(FROM, at);

/** Ten days; the sixth costs least, the third is the earliest. */
export function plan(more: Partial<Plan> = {}): Plan {
  return {
    currency: 'EUR',
    from: FROM,
    plant: 'Tarn',
    earliest: on(2),
    waits_for: ['approval'],
    run_out: on(5),
    least_cost: on(5),
    least_disturbing: on(7),
    prescribed: null,
    against_prescribed: null,
    days: Array.from({ length: DAYS }, (_, at) => ({
      on: on(at),
      leftover: `${Math.abs(5 - at) * 100}.00`,
      cancellation: '0.00',
      shortage: at > 5 ? '7.35' : '0.00',
      straddling: '35.00',
      recurring: '-20.00',
      total: `${Math.abs(5 - at) * 100 + 15}.00`,
      disturbed: at,
    })),
    parts: [
      {
        old: tube,
        new: thicker,
        ratio: '1',
        stock: '18',
        run_out: on(5),
        new_there: on(2),
        yearly_demand: '100',
        old_stock: Array.from({ length: DAYS }, (_, at) => String(18 - at)),
        new_stock: Array.from({ length: DAYS }, () => '4'),
        demand: Array.from({ length: DAYS }, () => '1'),
      },
    ],
    documents: [
      document('PO-31207', 'old', { due: on(8), cancel_fee: '98.00' }),
      document('PO-31344', 'old', { due: on(9) }),
      document('WO-8812', 'straddles', { kind: 'work_order', first: on(1), due: on(9) }),
    ],
    assumptions: [
      { lever: 'approval_days', what: 'Days until the change is released', value: '10', said: false },
      { lever: null, what: 'Receipts due sooner are not cancelled, days', value: '14', said: false },
    ],
    fetched_at: '2026-11-25T08:47:00+00:00',
    fault: null,
    not_known: 0,
    not_known_items: [],
    strangers: [],
    unknown: [],
    ...more,
  };
}

function document(
  name: string,
  role: Schemas['CutInDocument']['role'],
  more: Partial<Schemas['CutInDocument']>,
): Schemas['CutInDocument'] {
  return {
    document: name,
    kind: 'purchase_order',
    item: '200-0040',
    quantity: '200',
    unit: 'm',
    first: null,
    due: null,
    status: 'confirmed',
    cancel_fee: null,
    role,
    ...more,
  };
}
