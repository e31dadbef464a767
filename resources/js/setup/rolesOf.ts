import type { Schemas } from '../lib/api';

export type Judges = Schemas['ApprovalPathRow']['judges'];

export const judges: Record<Judges, string> = { orders: 'Orders', requests: 'Requests' };

/** Whom an order itself names. */
const ofOrders: Record<string, string> = {
  'role:signer': 'The signer of the order',
  'role:originator': 'Whoever raised the requests',
  'role:editor': 'The editor of the order',
  'role:owner': 'Owners of the items',
  'role:planner': 'Planners of the plants',
};

/** Whom a request itself names: nobody edits it, and whoever raised it does not judge it. */
const ofRequests: Record<string, string> = {
  'role:owner': 'Owners of the items',
  'role:planner': 'The planner of the plant',
};

/** Whom a path can name by their role in the change, to sign or to do something. */
export function rolesOf(path: Judges, to: 'sign' | 'do'): Record<string, string> {
  if (path === 'orders') return ofOrders;
  return to === 'sign' ? ofRequests : { 'role:originator': 'Whoever raised it', ...ofRequests };
}
