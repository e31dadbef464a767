import { useCallback, useRef, useState, useSyncExternalStore, type RefCallback, type RefObject } from 'react';
import { flushSync } from 'react-dom';

interface Seen {
  /** Pixels, in steps of a few rows. */
  top: number;
  height: number;
}

/** What scrolls, and how far it is. Who draws rows in it is told of every few that have gone by. */
export interface Scroller {
  /** The ref of the element: it may go and come back, as where a filter leaves nothing for a while. */
  attach: RefCallback<HTMLDivElement>;
  element: RefObject<HTMLDivElement | null>;
  seen: () => Seen;
  subscribe: (tell: () => void) => () => void;
  /** Brings a row into sight. */
  show: (row: number) => void;
  /** Scrolls to where it was before. */
  restore: (top: number) => void;
}

const MARGIN = 4;
const STEP = 6;

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

function seenStore() {
  let seen: Seen = { top: 0, height: 800 };
  const told = new Set<() => void>();
  return {
    seen: () => seen,
    see: (top: number, height: number) => {
      if (seen.top === top && seen.height === height) return;
      seen = { top, height };
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
  const [{ seen, see, subscribe }] = useState(seenStore);
  const attach = useCallback(
    (box: HTMLDivElement) => {
      const look = () => {
        // Drawn anew when a few rows have gone by, not at every turn of the wheel.
        see(Math.floor(box.scrollTop / (rowHeight * STEP)) * rowHeight * STEP, box.clientHeight);
      };
      element.current = box;
      look();
      box.addEventListener('scroll', look, { passive: true });
      const observer = new ResizeObserver(look);
      observer.observe(box);
      return () => {
        element.current = null;
        box.removeEventListener('scroll', look);
        observer.disconnect();
      };
    },
    [rowHeight, see],
  );
  const show = (row: number) => {
    const box = element.current;
    if (!box) return;
    const top = row * rowHeight;
    const head = 32;
    if (top < box.scrollTop) box.scrollTop = top;
    else if (top + rowHeight + head > box.scrollTop + box.clientHeight)
      box.scrollTop = top + rowHeight + head - box.clientHeight;
    see(box.scrollTop, box.clientHeight);
  };
  const restore = useCallback((top: number) => {
    if (element.current) element.current.scrollTop = top;
  }, []);
  return { attach, element, seen, subscribe, show, restore };
}

/** Of many rows of one height, which have to be drawn: from the first up to, not including, the last of the two. */
export function useInSight({ seen, subscribe }: Scroller, count: number, rowHeight: number): [number, number] {
  const { top, height } = useSyncExternalStore(subscribe, seen);
  const all = useSyncExternalStore(onPrinting, () => printing);
  if (all) return [0, count];
  const first = Math.max(0, Math.min(count, Math.floor(top / rowHeight) - MARGIN));
  return [first, Math.min(count, Math.ceil((top + height) / rowHeight) + STEP + MARGIN)];
}
