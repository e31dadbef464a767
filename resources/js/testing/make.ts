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
    status: 'in_force',
    coming: null,
    being_revised_by: [],
    sold: false,
    standard_cost: '9.80',
    picture: null,
    ...more,
  };
}

export const tube = item('200-0040', 'Pump tube, wall 1.6 mm');
export const thicker = item('200-0041', 'Pump tube, wall 2.4 mm');
export const head = item('200-0010', 'Pump head', { kind: 'assembly', unit: 'pc', standard_cost: '262.00' });

export function change(number: string, title: string, more: Partial<Schemas['ChangeRow']> = {}): Schemas['ChangeRow'] {
  return {
    number,
    type: number.startsWith('ECO') ? 'order' : number.startsWith('PR') ? 'report' : 'request',
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
    ahead: number.startsWith('ECO'),
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
    path_by_rule: true,
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
    scrap: '',
    takes_over: null,
    not_modelled: false,
    phantom: false,
    by_product: false,
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

export function question(id: number, more: Partial<Schemas['QuestionRow']> = {}): Schemas['QuestionRow'] {
  return {
    id,
    item: '200-0040',
    function: 'purchasing',
    topic: 'stock',
    text: 'From when can it be had?',
    asked: 'Buyer',
    held_by: null,
    may: [],
    asked_by: 'Mira Okafor',
    due_on: '2026-11-28',
    state: 'waiting',
    overdue: false,
    mine: false,
    answer: '',
    one_time: null,
    recurring: null,
    answered_by: null,
    answered_at: null,
    version: 0,
    file: null,
    ...more,
  };
}

/** An item on an order that gets a new revision. */
export function onOrder(
  of: Schemas['ItemRow'],
  more: Partial<Schemas['OrderItemData']> = {},
): Schemas['OrderItemData'] {
  return {
    item: of,
    outcome: 'revise',
    disposition: null,
    base: 'A',
    becomes: 'B',
    moved_on: false,
    changes: 0,
    done: {},
    ...more,
  };
}

/** One signer, whose turn it is. */
export function onePath(more: Partial<Schemas['PathPicture']> = {}): Schemas['PathPicture'] {
  return {
    code: null,
    name: 'One signature',
    version: null,
    stage: 1,
    steps: [
      {
        name: 'Sign',
        stage: 1,
        checks: [],
        standing: 'now',
        meaning: 'approved',
        needed: 1,
        with_password: true,
        people: ['Helen Marsh'],
        signed: [],
        lacking: 1,
        acting: ['Helen Marsh'],
        since: '2026-11-24T09:00:00+00:00',
        due_on: null,
        overdue: false,
        reason: '',
      },
    ],
    waits_for: [],
    by_rule: false,
    stuck: [],
    signable: [],
    back_to: [],
    ...more,
  };
}

export function order(more: Partial<Schemas['OrderData']> = {}): Schemas['OrderData'] {
  return {
    number: 'ECO-00090',
    title: 'Thicker tube',
    description: '',
    priority: 'critical',
    state: 'planning',
    is_open: !['released', 'closed', 'withdrawn'].includes(more.state ?? ''),
    effective_on: null,
    author: 'Mira Okafor',
    editor: null,
    editor_name: null,
    signer: null,
    signer_name: null,
    raised_at: '2026-11-25T08:00:00+00:00',
    sent_to_review_at: null,
    released_at: null,
    closed_at: null,
    version: 4,
    digest: '',
    items: [],
    checks: [],
    signatures: [],
    requests: ['ECR-00096'],
    may: ['plan', 'revise', 'submit', 'send_back', 'sign', 'release', 'close'],
    path: onePath(),
    on_hold: null,
    parent: null,
    subordinates: [],
    waivers: [],
    may_waive: false,
    ...more,
  };
}

export function ledgerRow(number: number, act: string, more: Partial<Schemas['LedgerRow']> = {}): Schemas['LedgerRow'] {
  return {
    number,
    at: '2026-11-24T09:00:00+00:00',
    actor: 'Mira Okafor',
    act,
    subject: 'ECR-00096',
    details: {},
    ...more,
  };
}

const STEPS = ['take_in', 'assess', 'order', 'revise', 'sign', 'release', 'follow_through', 'look_back'] as const;

/** A dossier that is at one of its steps: what comes before is done, what comes after is ahead. */
export function dossier(now: (typeof STEPS)[number], more: Partial<Schemas['Dossier']> = {}): Schemas['Dossier'] {
  const at = STEPS.indexOf(now);
  return {
    number: 'ECR-00096',
    title: 'Pump tube wears out early in silty rivers',
    priority: 'critical',
    steps: STEPS.map((step, index) => ({
      step,
      state: index < at ? 'done' : index === at ? 'now' : 'ahead',
      missing: [],
    })),
    requests: [request()],
    proposals: [],
    judged: [],
    order: null,
    handovers: [],
    collisions: [],
    ledger: [],
    acts: 0,
    tasks: [],
    ...more,
  };
}

/** What a change costs, with nothing in it yet. */
export function money(more: Partial<Schemas['MoneyPage']> = {}): Schemas['MoneyPage'] {
  return {
    currency: 'EUR',
    told_at: '2026-11-25T08:00:00+00:00',
    demand_told_at: '2026-11-25T08:05:00+00:00',
    fault: null,
    dispositions: [],
    one_time: [],
    recurring: [],
    demand: [],
    by_item: [],
    one_time_total: '0.00',
    yearly_total: '0.00',
    payback_months: null,
    assumed: [],
    ...more,
  };
}

export function category(
  code: string,
  name: string,
  more: Partial<Schemas['CategoryRow']> = {},
): Schemas['CategoryRow'] {
  return {
    code,
    name,
    under: null,
    sequence: 'letters',
    number_prefix: '200-',
    number_width: 4,
    number_check: false,
    taken_over: null,
    taken_over_reason: '',
    items: 0,
    version: 1,
    attributes: [],
    dispositions: [],
    ...more,
  };
}

/** A line under an order, the same before and after. */
export function redlineRow(
  find: number,
  of: Schemas['ItemRow'],
  more: Partial<Schemas['RedlineRow']> = {},
): Schemas['RedlineRow'] {
  return {
    key: `line-${find}`,
    mark: 'unchanged',
    before: line(find, of.number),
    after: line(find, of.number),
    fields: [],
    was_item: of,
    item: of,
    edited_by: null,
    task: null,
    edited_at: null,
    ...more,
  };
}

/** The structure of the pump head under an order. */
export function redline(more: Partial<Schemas['Redline']> = {}): Schemas['Redline'] {
  return {
    order: 'ECO-00090',
    order_title: 'Thicker tube',
    state: 'revising',
    is_open: true,
    item: head,
    base: 'E',
    becomes: 'F',
    moved_on: false,
    may_edit: true,
    seen: 7,
    can_undo: false,
    can_redo: false,
    rows: [],
    working: 'F.1',
    iterations: [],
    ...more,
  };
}

export function revision(code: string, more: Partial<Schemas['RevisionRow']> = {}): Schemas['RevisionRow'] {
  return {
    code,
    status: 'in_force',
    first_day: '2026-06-28',
    last_day: null,
    released_at: '2026-06-20T09:00:00+00:00',
    released_by: 'Mira Okafor',
    order: 'ECO-00076',
    reason: 'Note made clear',
    ...more,
  };
}

/** A file of an item. */
export function file(id: string, name: string, more: Partial<Schemas['FileRow']> = {}): Schemas['FileRow'] {
  return {
    id,
    item: '200-0010',
    role: 'sheet',
    name,
    media_type: 'image/svg+xml',
    bytes: 1200,
    revision: 'E',
    status: 'in_force',
    first_day: '2026-06-28',
    order: null,
    brought_by: 'Jonas Weir',
    brought_at: '2026-11-24T09:00:00+00:00',
    ...more,
  };
}
