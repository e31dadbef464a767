import { useCallback, useEffect, useRef, useState, useSyncExternalStore, type RefObject } from 'react';
import { flushSync } from 'react-dom';

interface Window {
  /** The element that scrolls. */
  scroller: RefObject<HTMLDivElement | null>;
  /** The rows to draw: from the first up to, not including, the end. */
  first: number;
  end: number;
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

/** Of many rows of one height, which have to be drawn. */
export function useWindow(count: number, rowHeight: number): Window {
  const scroller = useRef<HTMLDivElement>(null);
  const [seen, setSeen] = useState({ top: 0, height: 800 });
  useEffect(() => {
    const element = scroller.current;
    if (!element) return;
    const look = () => {
      const height = element.clientHeight;
      // Drawn anew when a few rows have gone by, not at every turn of the wheel.
      const top = Math.floor(element.scrollTop / (rowHeight * STEP)) * rowHeight * STEP;
      setSeen((before) => (before.top === top && before.height === height ? before : { top, height }));
    };
    look();
    element.addEventListener('scroll', look, { passive: true });
    const observer = new ResizeObserver(look);
    observer.observe(element);
    return () => {
      element.removeEventListener('scroll', look);
      observer.disconnect();
    };
  }, [rowHeight]);
  const all = useSyncExternalStore(onPrinting, () => printing);
  const first = Math.max(0, Math.min(count, Math.floor(seen.top / rowHeight) - MARGIN));
  const end = Math.min(count, Math.ceil((seen.top + seen.height) / rowHeight) + STEP + MARGIN);
  const show = (row: number) => {
    const element = scroller.current;
    if (!element) return;
    const top = row * rowHeight;
    const head = 32;
    if (top < element.scrollTop) element.scrollTop = top;
    else if (top + rowHeight + head > element.scrollTop + element.clientHeight)
      element.scrollTop = top + rowHeight + head - element.clientHeight;
    setSeen({ top: element.scrollTop, height: element.clientHeight });
  };
  const restore = useCallback((top: number) => {
    if (scroller.current) scroller.current.scrollTop = top;
  }, []);
  return all ? { scroller, first: 0, end: count, show, restore } : { scroller, first, end, show, restore };
}
