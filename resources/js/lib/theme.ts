export type Theme = 'light' | 'dark';

export function theme(): Theme {
  const kept = localStorage.getItem('theme');
  if (kept === 'light' || kept === 'dark') return kept;
  return window.matchMedia('(prefers-color-scheme: dark)').matches ? 'dark' : 'light';
}

export function setTheme(next: Theme): void {
  localStorage.setItem('theme', next);
  document.documentElement.dataset.theme = next;
}
