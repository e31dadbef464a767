import { useEffect, useRef } from 'react';
import { useLocation } from 'react-router';
import { focusOn } from './useFocusKept';

const PATIENCE = 10_000;

/** On every new page, and on Back, focus goes to its heading as soon as that is there: it is read out, and Tab goes on from it. */
export function useNewPage() {
  const { pathname } = useLocation();
  const first = useRef(true);
  useEffect(() => {
    // The first page has the focus of the browser; a link into it goes where it wants.
    if (first.current) {
      first.current = false;
      return;
    }
    const page = document.getElementById('page');
    // What stands there now is the new page; its heading may still be on its way.
    const arrive = () => {
      const heading = page?.querySelector('h1') ?? null;
      if (heading === null) return false;
      // Whoever was quicker and is in a field of the new page stays there.
      if (!page?.contains(document.activeElement) || document.activeElement === page) focusOn(heading);
      return true;
    };
    if (arrive()) return;
    const observer = new MutationObserver(() => {
      if (arrive()) observer.disconnect();
    });
    if (page) observer.observe(page, { childList: true, subtree: true });
    const end = setTimeout(() => observer.disconnect(), PATIENCE);
    return () => {
      observer.disconnect();
      clearTimeout(end);
    };
  }, [pathname]);
}
