import type { KeyboardEvent } from 'react';

const PAGE = 15;

interface Grid {
  at: number;
  last: number;
  /** Of the row that is active, in a tree: whether it is open, and the row it stands below. */
  tree: { open: boolean | undefined; parent: number } | undefined;
  move: (row: number, extend: boolean) => void;
  widen: (by: 1 | -1) => void;
  turn: (open: boolean) => void;
  open: (() => void) | undefined;
  choose: (() => void) | undefined;
  clear: () => void;
  markAll: () => void;
  copy: (all: boolean) => void;
}

/** What a key does on a row (grid and tree grid patterns of the ARIA practices); undefined for a key that is not the grid's. */
export function gridKey(event: KeyboardEvent, grid: Grid): (() => void) | undefined {
  const { at, last, tree } = grid;
  const to: Record<string, number> = {
    ArrowDown: at + 1,
    ArrowUp: at - 1,
    PageDown: at + PAGE,
    PageUp: at - PAGE,
    Home: 0,
    End: last,
  };
  const { key, shiftKey: shift } = event;
  if (event.ctrlKey || event.metaKey) {
    const letter = key.toLowerCase();
    if (letter === 'a') return grid.markAll;
    // Words that somebody has marked are copied as anywhere.
    if (letter === 'c' && !window.getSelection()?.toString()) return () => grid.copy(shift);
    return undefined;
  }
  if (event.altKey) return undefined;
  const next = to[key];
  if (next !== undefined) return () => grid.move(next, shift);
  if (key === 'ArrowRight' || key === 'ArrowLeft') {
    if (shift) return () => grid.widen(key === 'ArrowRight' ? 1 : -1);
    if (tree === undefined) return undefined;
    if (key === 'ArrowRight') return tree.open === false ? () => grid.turn(true) : () => grid.move(at + 1, false);
    return tree.open === true ? () => grid.turn(false) : () => grid.move(tree.parent < 0 ? at : tree.parent, false);
  }
  if (key === 'Enter') return grid.open;
  if (key === ' ') return grid.choose;
  if (key === 'Escape') return grid.clear;
  return undefined;
}
