import type { OperationRow } from './useBuilt';

/** Chosen where something is at no operation. */
export const NOWHERE = 'none';

/** What operations there are to choose from, by number, and none. */
export function operationOptions(operations: OperationRow[]): Record<string, string> {
  const options: Record<string, string> = {};
  for (const { after } of operations) {
    if (after !== null) options[String(after.number)] = `${after.number} ${after.title}`;
  }
  return { ...options, [NOWHERE]: 'At no operation' };
}
