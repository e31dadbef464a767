import type { LineEdit, RedlineRow } from './useRedline';

/** Behind the last line, a new one stands so much further. */
const STEP = 10;

/**
 * Lines that are marked, moved above the line before them or below the line after them: that line goes to the other side of them, and
 * theirs stay what they are. The one edit, or why there is none.
 *
 * @param own all lines of the structure, in any order
 */
export function reordered(marked: RedlineRow[], own: RedlineRow[], by: -1 | 1): LineEdit | string {
  const lines = own
    .flatMap((row) => (row.after === null ? [] : [{ key: row.key, find: row.after.find }]))
    .sort((a, b) => a.find - b.find);
  const keys = new Set(marked.map(({ key }) => key));
  const places = lines.flatMap(({ key }, at) => (keys.has(key) ? [at] : []));
  const [first, last] = [places[0], places.at(-1)];
  if (first === undefined || last === undefined || last - first !== places.length - 1)
    return 'Only lines that stand below each other in one structure are moved.';
  const passed = lines[by < 0 ? first - 1 : last + 1];
  if (passed === undefined) return by < 0 ? 'Nothing stands above.' : 'Nothing stands below.';
  const [low, high] =
    by < 0
      ? [lines[last]?.find ?? 0, lines[last + 1]?.find ?? (lines[last]?.find ?? 0) + 2 * STEP]
      : [lines[first - 1]?.find ?? 0, lines[first]?.find ?? 0];
  const find = low + Math.floor((high - low) / 2);
  return find === low
    ? `There is no find number between ${low} and ${high}: renumber the lines first.`
    : { operation: 'change', line: passed.key, fields: { find: String(find) } };
}
