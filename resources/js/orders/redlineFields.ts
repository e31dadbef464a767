import type { RedlineRow } from './useRedline';

/** The cells of a line in the order they stand on screen. */
export const fields = [
  'find',
  'component',
  'quantity',
  'unit',
  'designators',
  'notes',
  'revision',
  'first_day',
  'last_day',
] as const;
/** The same of what a plant builds: with where a line is consumed, and what is lost at it. */
export const plantFields = [
  'find',
  'component',
  'quantity',
  'unit',
  'operation',
  'scrap',
  'designators',
  'notes',
  'revision',
  'by_product',
  'first_day',
  'last_day',
] as const;
export type Field = (typeof plantFields)[number];

/** These have columns only where some line says something in them, or somebody asks for them. */
export const seldom: Field[] = ['scrap', 'revision', 'by_product', 'first_day', 'last_day'];

export const heads: Record<Field, string> = {
  find: 'Find',
  component: 'Component',
  quantity: 'Quantity',
  unit: 'Unit',
  operation: 'Operation',
  scrap: 'Scrap %',
  designators: 'Designators',
  notes: 'Notes',
  revision: 'Fixed revision',
  by_product: 'By-product',
  first_day: 'First day',
  last_day: 'Last day',
};

/** As people type it. */
function written(value: string | number | boolean | null): string {
  return typeof value === 'boolean' ? (value ? 'yes' : '') : String(value ?? '');
}

/** A field before and after, as text; null when the line was not, or is no longer, there. */
export function values(row: RedlineRow, field: Field): { before: string | null; after: string | null } {
  return {
    before: row.before === null ? null : written(row.before[field]),
    after: row.after === null ? null : written(row.after[field]),
  };
}
