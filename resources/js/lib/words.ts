/** The words on screen for what the API calls by a code. */
export const kinds = {
  engineering: 'Engineering structure',
  manufacturing: 'Manufacturing structure',
  design: 'Design structure',
} as const;

/** Which picture of a product is asked for. */
export interface Picture {
  kind: string;
  plant?: string;
}

/** The kinds of difference, in the order they are told. */
export const differences = ['added', 'removed', 'replaced', 'changed', 'renumbered', 'moved'] as const;

export const itemKinds = {
  assembly: 'Assembly',
  part: 'Part',
  raw_material: 'Raw material',
  consumable: 'Consumable',
  packaging: 'Packaging',
  document: 'Document',
  drawing: 'Drawing',
  software: 'Software',
  tool: 'Tool',
  service: 'Service',
} as const;

/** How manufacturing accounts for an engineering line. */
export const accounts = {
  in_full: 'In full',
  in_parts: 'In parts',
  otherwise: 'In another unit, or with scrap',
  replaced: 'Replaced on record',
  left_out: 'Left out on record',
  open: '▲ Open',
} as const;

/** Where plants put what only its category says something of. */
export const takenOver = {
  with_before: 'With the part before it',
  first: 'At the first operation',
  last: 'At the last operation',
  left_out: 'Left out on record',
} as const;

export const supplies = { make: 'Made in house', buy: 'Bought', subcontract: 'Subcontracted' } as const;

export const unitNames = {
  pc: 'pc, piece',
  pair: 'pair',
  m: 'm, metre',
  mm: 'mm, millimetre',
  kg: 'kg, kilogram',
  g: 'g, gram',
  l: 'l, litre',
  ml: 'ml, millilitre',
  m2: 'm2, square metre',
  sheet: 'sheet',
} as const;

export const sequences = {
  letters: 'Letters: A, B … Y, AA',
  numbers: 'Numbers: 1, 2, 3',
  numbers_then_letters: 'Numbers in work, letters once released',
} as const;

export const priorities = { critical: 'Critical', high: 'High', normal: 'Normal', low: 'Low' } as const;

/** Where a priority or severity stands, the most urgent first. */
export function rankOf(priority: string): number {
  return Object.keys(priorities).indexOf(priority);
}

export const changeTypes = { report: 'Problem report', request: 'Change request', order: 'Change order' } as const;

export const attachmentRoles = { evidence: 'Evidence', mark_up: 'Mark-up', form: 'Form', answer: 'Answer' } as const;

export const taskKinds = {
  design: 'Design',
  drawing: 'Drawing',
  manufacturing: 'Manufacturing',
  purchasing: 'Purchasing',
  planning: 'Planning',
  documents: 'Documents',
  training: 'Training',
  other: 'Other',
} as const;

export const taskStates = {
  open: { sign: '○', word: 'open' },
  claimed: { sign: '◐', word: 'claimed' },
  done: { sign: '●', word: 'done' },
  withdrawn: { sign: '–', word: 'withdrawn' },
} as const;

/** What a signature says. */
export const meanings = { reviewed: 'reviewed', approved: 'approved', responsible: 'responsible' } as const;

/** How a step of an approval path stands. */
export const stepStandings = {
  done: { sign: '■', word: 'done' },
  now: { sign: '▶', word: 'now' },
  ahead: { sign: '□', word: 'ahead' },
  not_needed: { sign: '–', word: 'not needed' },
  skipped: { sign: '–', word: 'skipped' },
} as const;

/** What a step of an approval path can depend on. */
export const facts = {
  one_time_cost: 'One-time cost or saving',
  yearly_cost: 'Yearly cost or saving',
  priority: 'Priority',
  severity: 'Severity of a report',
  reason: 'Reason',
  plant: 'Plant or site',
  category: 'Category of an item',
  subject_kind: 'What is changed',
  outcome: 'What an item becomes',
  interchange: 'Class: old and new number',
} as const;

export const topics = {
  feasible: 'Is it feasible?',
  tooling: 'What tooling is needed?',
  certificate: 'Is a certificate affected?',
  stock: 'What is on stock or ordered?',
  cost: 'What does it cost?',
  other: 'Something else',
} as const;

/** How a function stands to an item: a sign, and words. */
export const standings = {
  not_asked: { sign: '·', word: 'not asked', look: 'text-soft' },
  overdue: { sign: '▲', word: 'overdue', look: 'text-alarm font-semibold' },
  waiting: { sign: '◌', word: 'waiting', look: 'text-warn' },
  answered: { sign: '■', word: 'answered', look: 'text-accent' },
  no_effect: { sign: '□', word: 'no effect', look: 'text-soft' },
} as const;

export const groups = {
  design_engineer: 'Design engineers',
  electronics_engineer: 'Electronics engineers',
  manufacturing_engineer: 'Manufacturing engineers',
  planner: 'Planners',
  buyer: 'Buyers',
  quality: 'Quality',
  service: 'Service',
  board_member: 'Board members',
  coordinator: 'Coordinators',
} as const;

export const reachReasons = {
  affected: 'Affected',
  document: 'Drawings and documents',
  plant: 'Plants',
  operation: 'Operations',
  tool: 'Tools',
  open_change: 'Other open changes',
  product: 'Products sold',
  sibling: 'Sibling products',
  parent: 'Assemblies above',
} as const;

export const dispositions = {
  use_up: 'Use up',
  rework: 'Rework',
  scrap: 'Scrap',
  return: 'Return to supplier',
  hold: 'Hold',
} as const;

export const outcomes = {
  revise: 'New revision',
  build: 'Manufacturing only',
  data: 'Item data only',
  keep: 'No change',
} as const;

export const steps = {
  take_in: 'Take in',
  assess: 'Assess',
  order: 'Order',
  revise: 'Revise',
  sign: 'Check and sign',
  release: 'Release',
  follow_through: 'Follow through',
  look_back: 'Look back',
} as const;

export const states: Record<string, string> = {
  raised: 'raised',
  assessing: 'being assessed',
  returned: 'sent back',
  approved: 'approved',
  rejected: 'rejected',
  ordered: 'order raised',
  open: 'open',
  answered: 'answered',
  gathered: 'gathered',
  duplicate: 'duplicate',
  proposed: 'proposed',
  planning: 'being planned',
  revising: 'being revised',
  in_review: 'in review',
  signed: 'signed',
  released: 'released',
  closed: 'closed',
  withdrawn: 'withdrawn',
  in_work: 'in work',
  coming: 'coming',
  in_force: 'in force',
  superseded: 'superseded',
  obsolete: 'obsolete',
};

export const handoverStates: Record<string, string> = {
  waiting: 'sent, waiting for planning',
  taken: 'accepted',
  partly_refused: 'partly rejected',
  refused: 'rejected',
  unanswered: 'no answer yet',
};

export const supplyKinds = {
  stock: 'Stock',
  work_order: 'Work orders',
  purchase_requisition: 'Requisitions',
  purchase_order: 'Purchase orders',
  subcontract_order: 'Subcontract',
  quote: 'Quotes',
  sales_order: 'Sales orders',
  forecast: 'Forecast',
} as const;

/** What is done about a document in planning that names what an order replaced. */
export const ways = {
  run_out: 'Let run out',
  change_over: 'Change over',
  rework: 'Rework',
  return: 'Return',
  scrap: 'Scrap',
  cancel: 'Cancel it',
  accept: 'Accept as it is',
} as const;

export const oldStates = { open: 'Open', decided: 'Decided', seen: 'Seen to' } as const;

export const marks = {
  added: { sign: '+', word: 'added' },
  removed: { sign: '−', word: 'removed' },
  replaced: { sign: '⇄', word: 'replaced' },
  changed: { sign: '≠', word: 'changed' },
  renumbered: { sign: '#', word: 'renumbered' },
  moved: { sign: '↷', word: 'moved' },
  unchanged: { sign: '', word: 'unchanged' },
} as const;

export const units = ['pc', 'pair', 'm', 'mm', 'kg', 'g', 'l', 'ml', 'm2', 'sheet'] as const;

export const formStates = { out: 'issued', taken_in: 'imported', withdrawn: 'withdrawn' } as const;

/** What becomes of a tag of a form that comes back. */
export const tagUses = {
  nothing: 'Show only (no update)',
  field: 'Updates the record',
  finding: 'Added to the finding',
  question: 'Asks a question',
  task: 'Makes a task',
  attachment: 'Attached',
} as const;

export const controlKinds = {
  text: 'Text',
  check: 'Box to tick',
  date: 'Day',
  choice: 'List',
  picture: 'Picture',
} as const;

/** What a record has to say in a form. */
export const recordFields = {
  title: 'Title',
  description: 'Description',
  priority: 'Priority',
  reason: 'Reason',
  source: 'Source',
  site: 'Site',
  number: 'Number',
  raised_by: 'Raised by',
  raised_on: 'Raised on',
  items: 'Affected items',
  reports: 'Problem reports',
  finding: 'Finding',
  handed_by: 'Issued by',
  today: 'Issue date',
} as const;
