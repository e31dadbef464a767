export interface Recent {
  address: string;
  label: string;
}

const KEY = 'recent';
const MOST = 12;

export function recents(): Recent[] {
  return JSON.parse(localStorage.getItem(KEY) ?? '[]') as Recent[];
}

/** Remembers that a page was opened, newest first, each once. */
export function remember(address: string, label: string): void {
  const rest = recents().filter((recent) => recent.address !== address);
  localStorage.setItem(KEY, JSON.stringify([{ address, label }, ...rest].slice(0, MOST)));
}
