/** The page of a report, a request or an order, told by its number. */
export function placeOf(number: string): string {
  return number.startsWith('PR-') ? `/reports/${number}` : `/changes/${number}`;
}
