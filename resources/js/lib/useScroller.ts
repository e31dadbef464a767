import { useCallback, useRef, useState, useSyncExternalStore, type RefCallback, type RefObject } from 'react';
import { flushSync } from 'react-dom';
import { fitToWindow } from './fitToWindow';

/** Rows, from the first up to, not including, the last. */
interface Rows {
  first: number;
  end: number;
}

/** What scrolls, and how far it is. Who draws rows in it is told of every few that have gone by. */
export interface Scroller {
  /** The ref of the element: it may go and come back, as where a filter leaves nothing for a while. */
  attach: RefCallback<HTMLDivElement>;
  element: RefObject<HTMLDivElement | null>;
  drawn: () => Rows;
  subscribe: (tell: () => void) => () => void;
  /** Brings a row into sight. */
  show: (row: number) => void;
  /** Scrolls to where it was before. */
  restore: (top: number) => void;
}

/** Rows above and below those in sight, and how many come at a time. */
const MARGIN = 4;
const STEP = 6;
/** Rows that have gone out of sight are taken away so many at a time: the browser paints anew all around where one goes. */
const LEAVE = 24;

/** What is to be drawn for what is in sight, both in rows. */
function around(top: number, height: number): Rows {
  const first = Math.floor(top / STEP) * STEP;
  return { first: first - MARGIN, end: Math.ceil(first + height) + STEP + MARGIN };
}

/** What is there stays until many are to go. */
function staying(now: Rows, drawn: Rows): Rows {
  if (now.first >= drawn.end || now.end <= drawn.first) return now;
  const stays = (over: number) => over > 0 && over < LEAVE;
  return {
    first: stays(now.first - drawn.first) ? drawn.first : now.first,
    end: stays(drawn.end - now.end) ? drawn.end : now.end,
  };
}

let printing = false;

/** On paper everything is drawn: the page is told just before, and has to be ready when printing begins. */
function onPrinting(tell: () => void): () => void {
  const turn = (event: Event) => {
    printing = event.type === 'beforeprint';
    flushSync(tell);
  };
  window.addEventListener('beforeprint', turn);
  window.addEventListener('afterprint', turn);
  return () => {
    window.removeEventListener('beforeprint', turn);
    window.removeEventListener('afterprint', turn);
  };
}

function drawnStore(rowHeight: number) {
  let drawn = around(0, 800 / rowHeight);
  const told = new Set<() => void>();
  return {
    drawn: () => drawn,
    look: (box: HTMLElement) => {
      const next = staying(around(box.scrollTop / rowHeight, box.clientHeight / rowHeight), drawn);
      if (next.first === drawn.first && next.end === drawn.end) return;
      drawn = next;
      for (const tell of told) tell();
    },
    subscribe: (tell: () => void) => {
      told.add(tell);
      return () => told.delete(tell);
    },
  };
}

/** Whoever calls it is not drawn anew when it scrolls. */
export function useScroller(rowHeight: number): Scroller {
  const element = useRef<HTMLDivElement>(null);
  const [{ drawn, look, subscribe }] = useState(() => drawnStore(rowHeight));
  const attach = useCallback(
    (box: HTMLDivElement) => {
      const moved = () => look(box);
      element.current = box;
      const leave = fitToWindow(box);
      moved();
      box.addEventListener('scroll', moved, { passive: true });
      const observer = new ResizeObserver(moved);
      observer.observe(box);
      return () => {
        element.current = null;
        box.removeEventListener('scroll', moved);
        observer.disconnect();
        leave();
      };
    },
    [look],
  );
  const show = (row: number) => {
    const box = element.current;
    if (!box) return;
    const top = row * rowHeight;
    const head = 32;
    if (top < box.scrollTop) box.scrollTop = top;
    else if (top + rowHeight + head > box.scrollTop + box.clientHeight)
      box.scrollTop = top + rowHeight + head - box.clientHeight;
    look(box);
  };
  const restore = useCallback((top: number) => {
    if (element.current) element.current.scrollTop = top;
  }, []);
  return { attach, element, drawn, subscribe, show, restore };
}

/** Of so many rows, which have to be drawn: from the first up to, not including, the last of the two. */
export function useInSight({ drawn, subscribe }: Scroller, count: number): [number, number] {
  const { first, end } = useSyncExternalStore(subscribe, drawn);
  const all = useSyncExternalStore(onPrinting, () => printing);
  return all ? [0, count] : [Math.max(0, Math.min(count, first)), Math.min(count, end)];
}
