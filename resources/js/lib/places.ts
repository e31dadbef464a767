/** The page of a report, a request, an order or a task, told by its number. */
export function placeOf(number: string): string {
  if (number.startsWith('T-')) return `/tasks/${number}`;
  return number.startsWith('PR-') ? `/reports/${number}` : `/changes/${number}`;
}
