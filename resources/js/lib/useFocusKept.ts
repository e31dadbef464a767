import { useEffect } from 'react';

/**
 * Focus is never lost. When what has it goes away (a form that was saved, a row that is gone), it goes to the heading of
 * the nearest part of the page that is still there; a person with a keyboard or a screen reader goes on where they were.
 */
export function useFocusKept() {
  useEffect(() => {
    let trail: Element[] = [];
    const remember = (event: FocusEvent) => {
      trail = [];
      for (let at = event.target as Element | null; at !== null; at = at.parentElement) trail.push(at);
    };
    const keep = () => {
      const lost = trail.length > 0 && trail[0]?.isConnected === false && document.activeElement === document.body;
      if (!lost) return;
      const left = trail.find((one) => one.isConnected && one !== document.body && one !== document.documentElement);
      trail = [];
      // What is open over the page takes the focus itself.
      if (document.querySelector('[role=dialog]') !== null) return;
      const part = left?.closest('section, form, main, [role=region]') ?? left;
      focusOn(part?.querySelector('h1, h2, h3') ?? left ?? null);
    };
    document.addEventListener('focusin', remember);
    const observer = new MutationObserver(keep);
    observer.observe(document.body, { childList: true, subtree: true });
    return () => {
      document.removeEventListener('focusin', remember);
      observer.disconnect();
    };
  }, []);
}

/** Focuses what is not there for being focused otherwise, such as a heading. */
export function focusOn(element: Element | null): void {
  if (!(element instanceof HTMLElement)) return;
  if (!element.hasAttribute('tabindex') && element.tabIndex < 0) element.tabIndex = -1;
  element.focus({ preventScroll: true });
}

/** The first field in error of the form where the person is, or of the page. Called after an act was refused. */
export function focusFirstError(): void {
  // The reasons stand beside their fields only after the page has been drawn again.
  setTimeout(() => {
    const form = document.activeElement?.closest('form') ?? document.getElementById('page');
    form?.querySelector<HTMLElement>('[aria-invalid="true"]:not([tabindex="-1"])')?.focus();
  }, 30);
}
