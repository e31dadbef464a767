/** 1 for Monday, as ISO 8601 counts them. */
export const weekdays = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'].map((name, at) => ({ number: at + 1, name }));

/** "Mon to Fri", or each by its name where they do not follow one another. */
export function weekdayNames(numbers: number[]): string {
  const sorted = [...numbers].sort((a, b) => a - b);
  const name = (number: number | undefined) => weekdays.find((one) => one.number === number)?.name ?? '';
  const inRow = sorted.length > 2 && sorted.every((number, at) => number === (sorted[0] ?? 0) + at);
  return inRow ? `${name(sorted[0])} to ${name(sorted.at(-1))}` : sorted.map(name).join(', ');
}
