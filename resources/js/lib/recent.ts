import { isRecord, readKept, writeKept } from './storage';

export interface Recent {
  address: string;
  label: string;
}

const KEY = 'recent';
const MOST = 12;

export function recents(): Recent[] {
  const kept = readKept(KEY);
  return Array.isArray(kept)
    ? kept.flatMap((one: unknown) =>
        isRecord(one) && typeof one.address === 'string' && typeof one.label === 'string'
          ? [{ address: one.address, label: one.label }]
          : [],
      )
    : [];
}

/** Remembers that a page was opened, newest first, each once. */
export function remember(address: string, label: string): void {
  const rest = recents().filter((recent) => recent.address !== address);
  writeKept(KEY, [{ address, label }, ...rest].slice(0, MOST));
}
