import type { RedlineRow } from './useRedline';

/** The cells of a line in the order they stand on screen. */
export const fields = ['find', 'component', 'quantity', 'unit', 'designators', 'notes'] as const;
export type Field = (typeof fields)[number];

export const heads: Record<Field, string> = {
  find: 'Find',
  component: 'Component',
  quantity: 'Quantity',
  unit: 'Unit',
  designators: 'Designators',
  notes: 'Notes',
};

/** A field before and after, as text; null when the line was not, or is no longer, there. */
export function values(row: RedlineRow, field: Field): { before: string | null; after: string | null } {
  return {
    before: row.before === null ? null : String(row.before[field]),
    after: row.after === null ? null : String(row.after[field]),
  };
}
