import type { Schemas } from '../lib/api';
import { plusDays } from '../lib/format';
import { thicker, tube } from './make';

export type Plan = Schemas['CutInPage'];

const FROM = '2026-11-25';
export const DAYS = 10;
export const on = (at: number) => plusDays(FROM, at);

const best: Schemas['CutInBest'] = {
  earliest: on(2),
  least_cost: on(5),
  least_disturbing: on(7),
  as_good_from: on(5),
  as_good_to: on(6),
};
const nothing = Array.from({ length: DAYS }, () => '0');
const one = Array.from({ length: DAYS }, () => '1');

/** Ten days at one plant; the sixth costs least, the third is the earliest. */
export function plan(more: Partial<Plan> = {}): Plan {
  const days = Array.from({ length: DAYS }, (_, at) => ({
    on: on(at),
    possible: at >= 2,
    leftover: `${Math.abs(5 - at) * 100}.00`,
    cancellation: '0.00',
    shortage: at > 5 ? '7.35' : '0.00',
    straddling: '35.00',
    recurring: '-20.00',
    total: `${Math.abs(5 - at) * 100 + 15}.00`,
    disturbed: at,
    at_risk: '0.00',
  }));
  return {
    currency: 'EUR',
    from: FROM,
    best,
    waits_for: ['approval'],
    run_out: on(5),
    counts_recurring: true,
    prescribed: null,
    against_prescribed: null,
    days,
    plants: [
      {
        plant: 'Weir',
        has_calendar: true,
        closed: [on(3), on(4)],
        best,
        waits_for: ['approval'],
        run_out: on(5),
        possible: days.map(({ possible }) => possible),
        totals: days.map(({ total }) => total),
        parts: [
          part({ item: tube, goes: true, comes: false, stock: '18', until: one, run_out: on(5) }),
          part({ item: thicker, goes: false, comes: true, stock: '4', from_then: one }),
        ],
      },
    ],
    documents: [
      document('PO-31207', 'goes', { due: on(8), cancel_fee: '98.00', cancel_by: on(4) }),
      document('PO-31344', 'goes', { due: on(9) }),
      document('WO-8812', 'straddles', { kind: 'work_order', first: on(1), due: on(9) }),
    ],
    assumptions: [
      assumption({ lever: 'approval_days', what: 'Until the change is released', value: '10', unit: 'working days' }),
      assumption({ what: 'Receipts due sooner are not cancelled', value: '10', unit: 'working days' }),
      assumption({ lever: 'lead_days', what: 'Lead time', item: '200-0041', value: '42', from: 'item' }),
    ],
    idle: [],
    unknown_leads: [],
    unknown_costs: [],
    other_places: [],
    fetched_at: '2026-11-25T08:47:00+00:00',
    fault: null,
    not_known: 0,
    not_known_items: [],
    strangers: [],
    ...more,
  };
}

export function part(more: Partial<Schemas['CutInPart']> & Pick<Schemas['CutInPart'], 'item'>): Schemas['CutInPart'] {
  return {
    goes: true,
    comes: false,
    stock: '0',
    run_out: null,
    sustained_from: on(0),
    yearly_until: '10',
    yearly_from_then: '0',
    yearly_others: '0',
    late: '0',
    unchanged_course: Array.from({ length: DAYS }, (_, at) => String(18 - at)),
    until: nothing,
    from_then: nothing,
    others: nothing,
    ...more,
  };
}

export function assumption(
  more: Partial<Schemas['CutInAssumption']> & Pick<Schemas['CutInAssumption'], 'what'>,
): Schemas['CutInAssumption'] {
  return { lever: null, item: '', plant: '', value: '', unit: '', from: 'rule', reason: '', ...more };
}

function document(
  name: string,
  role: Schemas['CutInDocument']['role'],
  more: Partial<Schemas['CutInDocument']>,
): Schemas['CutInDocument'] {
  return {
    plant: 'Weir',
    document: name,
    kind: 'purchase_order',
    item: '200-0040',
    quantity: '200',
    unit: 'm',
    first: null,
    due: null,
    expected: more.due ?? null,
    overdue: false,
    status: 'confirmed',
    cancel_fee: null,
    cancel_by: null,
    role,
    ...more,
  };
}
