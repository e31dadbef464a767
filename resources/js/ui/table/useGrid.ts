import { useEffect, useLayoutEffect, useRef, useState, type KeyboardEvent } from 'react';
import { useLocation } from 'react-router';
import { useBlock } from '../../lib/useBlock';
import { useInSight, useScroller } from '../../lib/useScroller';
import { toTabs } from '../tableText';
import type { Column } from './Column';
import { gridKey } from './gridKey';
import { tablePlace } from './place';
import type { Tree } from './Tree';
import type { TableState } from './useTableState';

/** So many rows are drawn at once; of more, those in sight. */
const FEW = 120;
/** So many rows before the end of those that are here the next page is asked for at once. */
const NEAR = 30;
/** So many rows are kept ready below those in sight: read while nobody scrolls, as a page that arrives costs a frame. */
const AHEAD = 400;
/** Milliseconds without scrolling after which there is time to read ahead. */
const STILL = 150;

interface Options<Row> {
  name: string;
  state: TableState<Row>;
  keyOf: (row: Row) => string;
  rowHeight: number;
  /** However many there are. */
  drawsAll: boolean;
  whole: Pick<Column<Row>, 'head' | 'text'>[];
  tree?: Tree<Row> | undefined;
  onOpen?: ((row: Row) => void) | undefined;
  choosable: boolean;
  paged?: { more: () => void; all: () => Promise<Row[]> } | undefined;
  goTo?: { row: number } | null | undefined;
}

/**
 * The rows of a grid as a person walks them: which one takes the tab, which are marked, what is drawn of many, and what keys
 * and the pointer do. What rows need of it stays the same from drawing to drawing, so that scrolling draws new rows only.
 */
export function useGrid<Row>(options: Options<Row>) {
  const { name, state, keyOf, paged, tree, goTo } = options;
  const { rows } = state;
  const { key: entry } = useLocation();
  const before = tablePlace.read(entry, name);
  const [active, setActive] = useState(() =>
    Math.max(0, before ? rows.findIndex((row) => keyOf(row) === before.row) : 0),
  );
  const [anchor, setAnchor] = useState(active);
  const body = useRef<HTMLTableSectionElement>(null);
  const frame = useRef(0);
  // A list that grows looks the same before and after it did.
  const windowed = !options.drawsAll && (rows.length > FEW || paged !== undefined || tree !== undefined);
  const scroller = useScroller(options.rowHeight);
  const { show, restore } = scroller;
  const [first, end] = useInSight(scroller, rows.length);
  const current = Math.min(active, rows.length - 1);
  const marked: [number, number] = [Math.min(anchor, current), Math.max(anchor, current)];
  const readable = state.columns.filter((column) => !column.silent);
  const onActive = (row: number, extend: boolean) => {
    setActive(row);
    if (!extend) setAnchor(row);
  };
  const block = useBlock(readable.length - 1, onActive);

  const top = before?.top;
  useLayoutEffect(() => {
    if (top !== undefined) restore(top);
  }, [top, restore]);
  const below = windowed ? rows.length - end : 0;
  const more = paged?.more;
  useEffect(() => {
    if (below > AHEAD) return;
    if (below < NEAR) {
      more?.();
      return;
    }
    const still = setTimeout(() => more?.(), STILL);
    return () => clearTimeout(still);
    // Asked once for each place and length of the list: more() itself knows whether there is any.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [below, rows.length]);

  const drawn = (row: number) => body.current?.querySelector<HTMLElement>(`[aria-rowindex="${row + 2}"]`);
  const move = (row: number, extend: boolean) => {
    const next = Math.max(0, Math.min(rows.length - 1, row));
    onActive(next, extend);
    if (!extend) block.clear();
    if (windowed) show(next);
    cancelAnimationFrame(frame.current);
    // The row may only now be drawn. Of several quick moves only the last takes the focus along.
    if (windowed) frame.current = requestAnimationFrame(() => drawn(next)?.focus());
    else drawn(next)?.focus();
  };
  const [wentTo, setWentTo] = useState(goTo);
  if (goTo !== wentTo) {
    setWentTo(goTo);
    if (goTo) onActive(goTo.row, false);
  }
  useEffect(() => {
    if (!goTo) return;
    const next = requestAnimationFrame(() => {
      if (windowed) show(goTo.row);
      frame.current = requestAnimationFrame(() => drawn(goTo.row)?.scrollIntoView({ block: 'nearest' }));
    });
    return () => cancelAnimationFrame(next);
    // Once for each time somebody is led to a row.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [goTo]);

  const { rowSelection } = state.table.getState();
  const remember = (row: Row) => tablePlace.write(entry, name, keyOf(row), scroller.element.current?.scrollTop ?? 0);
  const choose = (row: Row, on: boolean) => state.table.setRowSelection((was) => ({ ...was, [keyOf(row)]: on }));
  const copy = async (all: boolean) => {
    const wanted = all ? ((await paged?.all()) ?? rows) : rows.slice(marked[0], marked[1] + 1);
    const of = all || block.columns === null ? options.whole : readable.slice(block.columns[0], block.columns[1] + 1);
    await navigator.clipboard.writeText(toTabs(of, wanted));
  };
  const open = (row: Row) => {
    remember(row);
    options.onOpen?.(row);
  };
  const onKey = (event: KeyboardEvent<HTMLTableRowElement>) => {
    // Where somebody is quick the focus has not followed yet: what counts is the row that is active.
    const row = rows[current];
    if (event.target !== event.currentTarget || row === undefined) return;
    const act = gridKey(event, {
      at: current,
      last: rows.length - 1,
      tree: tree && {
        open: tree.open(row),
        parent: rows.slice(0, current).findLastIndex((one) => tree.level(one) < tree.level(row)),
      },
      move,
      widen: block.widen,
      turn: (to) => tree?.turn(row, to),
      open: options.onOpen && (() => open(row)),
      choose: options.choosable ? () => choose(row, rowSelection[keyOf(row)] !== true) : undefined,
      clear: () => {
        block.clear();
        setAnchor(current);
      },
      markAll: () => {
        block.clear();
        setAnchor(0);
        setActive(rows.length - 1);
      },
      copy: (all) => void copy(all),
    });
    if (act) {
      event.preventDefault();
      act();
    }
  };

  const latest = { onKey, onActive, choose, open, remember, block, isMarked, turn: tree?.turn };
  const held = useRef(latest);
  useLayoutEffect(() => {
    held.current = latest;
  });
  const [handlers] = useState(() => ({
    onKey: (event: KeyboardEvent<HTMLTableRowElement>) => held.current.onKey(event),
    // A window that gets the focus back gives it to the row it was on: what is marked stays marked.
    onFocus: (at: number) => !held.current.isMarked(at) && held.current.onActive(at, false),
    onActive: (at: number, extend: boolean) => held.current.onActive(at, extend),
    choose: (row: Row, on: boolean) => held.current.choose(row, on),
    open: (row: Row) => held.current.open(row),
    remember: (row: Row) => held.current.remember(row),
    turn: (row: Row, on: boolean) => held.current.turn?.(row, on),
    onPointerDown: (event: React.PointerEvent, at: number, column: number) =>
      held.current.block.cell(at, column).onPointerDown(event),
    onPointerEnter: (at: number, column: number) => held.current.block.cell(at, column).onPointerEnter(),
  }));

  function isMarked(at: number): boolean {
    return at >= marked[0] && at <= marked[1];
  }
  // A few rows are drawn whole even so: then scrolling draws and lays out nothing.
  const part = windowed && (rows.length > FEW || paged !== undefined);
  return {
    attach: scroller.attach,
    body,
    from: part ? first : 0,
    to: part ? end : rows.length,
    windowed,
    current,
    isMarked,
    several: marked[0] !== marked[1],
    block: block.columns,
    handlers,
  };
}

export type GridHandlers<Row> = ReturnType<typeof useGrid<Row>>['handlers'];
