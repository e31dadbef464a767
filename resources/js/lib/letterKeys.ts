import { readKept, writeKept } from './storage';

const KEY = 'letter-keys';

/** Shortcuts of letters can be switched off, for whoever speaks to the computer or slips on the keys (WCAG 2.1.4). */
export const letterKeys = {
  areOn: () => readKept(KEY) !== false,
  set: (on: boolean) => writeKept(KEY, on),
};
