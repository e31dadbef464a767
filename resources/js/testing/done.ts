import type { Schemas } from '../lib/api';

/** What an act on a change answers. */
export function done(number: string, version = 2): Schemas['Done'] {
  return { number, version };
}
