export type Theme = 'light' | 'dark';

/** Before anybody is signed in there is a theme already: it is the browser's, not a person's. */
export function theme(): Theme {
  try {
    const kept = localStorage.getItem('theme');
    if (kept === 'light' || kept === 'dark') return kept;
  } catch {
    // What cannot be kept is as the system has it.
  }
  return window.matchMedia('(prefers-color-scheme: dark)').matches ? 'dark' : 'light';
}

export function setTheme(next: Theme): void {
  try {
    localStorage.setItem('theme', next);
  } catch {
    // It holds until the page is closed.
  }
  document.documentElement.dataset.theme = next;
}
