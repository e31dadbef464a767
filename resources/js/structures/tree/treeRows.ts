import type { Schemas } from '../../lib/api';

export type TreeRow = Schemas['TreeRow'];

/** What a node asks for when it is opened beyond the levels that came at once. */
export interface Branch {
  number: string;
  times: string;
}

export function branchOf(row: TreeRow): Branch {
  return { number: row.item.number, times: row.times };
}

export function branchKey({ number, times }: Branch): string {
  return `${number} ${times}`;
}

export interface Openness {
  /** How many levels are open unless somebody turned a node. */
  levels: number;
  turned: ReadonlyMap<string, boolean>;
}

export function isOpen(row: TreeRow, { levels, turned }: Openness): boolean {
  return row.opens && (turned.get(row.path) ?? row.level < levels);
}

/**
 * The rows in sight, in the order they stand: those that came at once, without what is below a closed node, and below
 * opened nodes at the deepest level what has been fetched for them.
 */
export function visibleRows(
  rows: readonly TreeRow[],
  openness: Openness,
  branches: ReadonlyMap<string, readonly TreeRow[]>,
): TreeRow[] {
  const visible: TreeRow[] = [];
  const addBranch = (parent: TreeRow) => {
    for (const row of branches.get(branchKey(branchOf(parent))) ?? []) {
      const here = { ...row, path: `${parent.path}/${row.path}`, level: parent.level + row.level };
      visible.push(here);
      if (here.opens && openness.turned.get(here.path)) addBranch(here);
    }
  };
  let closedAt = Number.POSITIVE_INFINITY;
  rows.forEach((row, at) => {
    if (row.level > closedAt) return;
    closedAt = Number.POSITIVE_INFINITY;
    visible.push(row);
    if (!isOpen(row, openness)) closedAt = row.level;
    else if ((rows[at + 1]?.level ?? 0) <= row.level) addBranch(row);
  });
  return visible;
}

/** The nodes whose lines have to be fetched one by one: opened, and deeper than what came at once. */
export function openBranches(
  rows: readonly TreeRow[],
  openness: Openness,
  branches: ReadonlyMap<string, readonly TreeRow[]>,
): Branch[] {
  const wanted = new Map<string, Branch>();
  const visible = visibleRows(rows, openness, branches);
  visible.forEach((row, at) => {
    const wide = openness.turned.get(row.path) ?? row.level < openness.levels;
    if (row.opens && wide && (visible[at + 1]?.level ?? 0) <= row.level)
      wanted.set(branchKey(branchOf(row)), branchOf(row));
  });
  return [...wanted.values()];
}

/** The place of the next row that has the words in its number, title, notes or designators; -1 when there is none. */
export function nextMatch(rows: readonly TreeRow[], words: string, from: number, turn: 1 | -1): number {
  const wanted = words.trim().toLowerCase();
  if (wanted === '') return -1;
  for (let step = 1; step <= rows.length; step++) {
    const at = (from + turn * step + rows.length * 2) % rows.length;
    const row = rows[at];
    if (row && matches(row, wanted)) return at;
  }
  return -1;
}

export function matches({ item, line }: TreeRow, wanted: string): boolean {
  return [item.number, item.title, line.notes, line.designators].some((text) => text.toLowerCase().includes(wanted));
}
