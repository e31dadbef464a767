import type { Schemas } from '../lib/api';
import { amount, quantity } from '../lib/format';

export type FieldRow = Schemas['FieldRow'];

const supplies: Record<string, string> = { make: 'Made in house', buy: 'Bought', subcontract: 'Subcontracted' };
const quantities = ['pack', 'safety_stock', 'minimum_lot', 'lot_multiple', 'mass_kg'];

/** What a field of an item reads, in words; empty where it is not known. */
export function fieldText(field: FieldRow['field'], value: string): string {
  if (field === 'retired') return value === '' ? 'in use' : 'retired';
  if (value === '') return '';
  if (field === 'standard_cost') return amount(value);
  if (field === 'supply') return supplies[value] ?? value;
  return quantities.includes(field) ? quantity(value) : value;
}

/** In what it is counted. */
export function fieldUnit(field: FieldRow['field'], unit: string, currency: string): string {
  switch (field) {
    case 'standard_cost':
      return `${currency} a ${unit}`;
    case 'lead_time_days':
      return 'working days';
    case 'mass_kg':
      return 'kg';
    case 'pack':
    case 'safety_stock':
    case 'minimum_lot':
    case 'lot_multiple':
      return unit;
    default:
      return '';
  }
}
