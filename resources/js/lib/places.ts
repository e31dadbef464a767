/** The page of a report, a request, an order, a task or a change notice, told by its number. */
export function placeOf(number: string): string {
  if (number.startsWith('ECN-')) return `/change-notices/${number}`;
  if (number.startsWith('T-')) return `/tasks/${number}`;
  return number.startsWith('PR-') ? `/reports/${number}` : `/changes/${number}`;
}
