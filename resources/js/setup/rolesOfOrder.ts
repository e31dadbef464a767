/** Whom an order itself names. */
export const rolesOfOrder: Record<string, string> = {
  'role:signer': 'The signer of the order',
  'role:originator': 'Whoever raised the requests',
  'role:editor': 'The editor of the order',
  'role:owner': 'Owners of the items',
  'role:planner': 'Planners of the plants',
};
