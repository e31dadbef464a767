import type { Schemas } from '../lib/api';

/** What edits mean that mean nothing. */
export const noConsequences: Schemas['Consequences'] = {
  lines: 0,
  items_above: [],
  products: [],
  built: [],
  without_cost: [],
  currency: 'EUR',
  cost_day: '2026-11-26',
  affected: [],
  coming: [],
  collisions: [],
  checks: [],
};
