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

/**
 * Lines put above or below another one: they get find numbers in between, in the order in which they stood; all others keep theirs.
 *
 * @param own all lines of the structure of that one, in any order
 */
export function dropped(
  lines: RedlineRow[],
  own: RedlineRow[],
  onto: RedlineRow,
  side: 'above' | 'below',
): LineEdit[] | string {
  const moving = new Set(lines.map(({ key }) => key));
  const finds = own.flatMap((row) => (row.after === null ? [] : [{ key: row.key, find: row.after.find }]));
  if (finds.filter(({ key }) => moving.has(key)).length < lines.length)
    return 'Lines are dragged within one structure. To another one they are copied or moved.';
  const staying = finds.filter(({ key }) => !moving.has(key)).sort((a, b) => a.find - b.find);
  const here = staying.findIndex(({ key }) => key === onto.key);
  if (here < 0) return 'A line that is removed is no place to put others.';
  const at = side === 'above' ? here : here + 1;
  const low = staying[at - 1]?.find ?? 0;
  const high = staying[at]?.find ?? low + STEP * (lines.length + 1);
  const step = Math.min(STEP, Math.floor((high - low) / (lines.length + 1)));
  if (step === 0) return `There is no room for ${lines.length} between ${low} and ${high}: renumber the lines first.`;
  return finds
    .filter(({ key }) => moving.has(key))
    .sort((a, b) => a.find - b.find)
    .map(({ key }, place) => ({ operation: 'change', line: key, fields: { find: String(low + step * (place + 1)) } }));
}
