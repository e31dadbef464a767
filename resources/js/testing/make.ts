import type { Schemas } from '../lib/api';

/** Rows as the server tells them, in the world of the demo; a test says only what it is about. */
export function item(number: string, title: string, more: Partial<Schemas['ItemRow']> = {}): Schemas['ItemRow'] {
  return {
    number,
    title,
    kind: 'part',
    category: 'Pump',
    unit: 'm',
    revision: 'A',
    status: 'released',
    being_revised_by: [],
    sold: false,
    standard_cost: '9.80',
    ...more,
  };
}

export const tube = item('200-0040', 'Pump tube, wall 1.6 mm');
export const thicker = item('200-0041', 'Pump tube, wall 2.4 mm');
export const head = item('200-0010', 'Pump head', { kind: 'assembly', unit: 'pc', standard_cost: '262.00' });

export function change(number: string, title: string, more: Partial<Schemas['ChangeRow']> = {}): Schemas['ChangeRow'] {
  return {
    number,
    type: number.startsWith('ECO') ? 'order' : 'request',
    title,
    priority: 'normal',
    state: 'assessing',
    step: 'assess',
    open: true,
    raised_at: '2026-11-20T09:00:00+00:00',
    raised_by: 'Petra Quist',
    site: 'Weir',
    source: 'Purchasing',
    effective_on: null,
    waits_for: null,
    ...more,
  };
}

export function report(number: string, title: string, more: Partial<Schemas['ReportRow']> = {}): Schemas['ReportRow'] {
  return {
    number,
    title,
    source: 'field',
    site: 'Weir',
    severity: 'high',
    state: 'open',
    serial: '',
    raised_by: 'Clara Fenn',
    raised_at: '2026-11-24T09:00:00+00:00',
    items: ['200-0040'],
    requests: [],
    likeness: null,
    ...more,
  };
}

export function request(more: Partial<Schemas['RequestData']> = {}): Schemas['RequestData'] {
  return {
    number: 'ECR-00096',
    title: 'Pump tube wears out early in silty rivers',
    reason: 'defect',
    source: 'field',
    site: 'Weir',
    priority: 'critical',
    description: 'Torn at the rollers.',
    state: 'assessing',
    finding: '',
    decision_reason: '',
    raised_by: 'Clara Fenn',
    raised_by_login: 'clara.fenn',
    raised_at: '2026-11-24T09:00:00+00:00',
    decided_by: null,
    decided_at: null,
    version: 3,
    items: [tube, head],
    orders: [],
    reports: [],
    files: [],
    gathered: [],
    gathered_into: null,
    split_from: null,
    split_off: [],
    ...more,
  };
}

export function line(find: number, component: string, more: Partial<Schemas['LineRow']> = {}): Schemas['LineRow'] {
  return {
    key: `line-${find}`,
    find,
    component,
    revision: null,
    quantity: '1',
    unit: 'pc',
    designators: '',
    notes: '',
    operation: null,
    not_modelled: false,
    phantom: false,
    first_day: null,
    last_day: null,
    ...more,
  };
}

/** A report as its own page tells it. */
export function reportPage(
  row: Schemas['ReportRow'],
  more: Partial<Schemas['ReportPage']> = {},
): Schemas['ReportPage'] {
  return {
    report: row,
    description: '',
    answer: '',
    same_as: null,
    raised_by_login: 'clara.fenn',
    settled_by: null,
    settled_at: null,
    version: 1,
    items: [tube],
    requests: [],
    duplicates: [],
    files: [],
    ledger: [],
    ...more,
  };
}
