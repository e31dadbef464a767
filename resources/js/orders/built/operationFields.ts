import type { Operation, OperationRow } from './useBuilt';

/** The fields of an operation in the order they are read. */
export const operationFields = [
  'number',
  'title',
  'work_centre',
  'set_up',
  'run',
  'per',
  'supplier',
  'cost',
  'lead_time',
  'instruction',
  'tools',
  'inspection',
  'specification',
] as const;
export type OperationField = (typeof operationFields)[number];

export const operationHeads: Record<OperationField, string> = {
  number: 'Operation',
  title: 'What is done',
  work_centre: 'Work centre',
  set_up: 'Set-up, min',
  run: 'Run, min',
  per: 'Run per',
  supplier: 'Supplier',
  cost: 'Cost a unit',
  lead_time: 'Days outside',
  instruction: 'Instruction',
  tools: 'Tools',
  inspection: 'Inspection',
  specification: 'By document',
};

/** A field as it is typed. */
export function said(operation: Operation, field: OperationField): string {
  return field === 'tools' ? operation.tools.join(', ') : String(operation[field]);
}

/** Before and after; null where there was, or is, no such operation. */
export function sides(row: OperationRow, field: OperationField): { before: string | null; after: string | null } {
  return {
    before: row.before === null ? null : said(row.before, field),
    after: row.after === null ? null : said(row.after, field),
  };
}
