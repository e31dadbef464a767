import { useEffect, useState } from 'react';
import { useLocation } from 'react-router';

const kept = new Map<string, unknown>();
const MOST = 300;

/** Forgets all of it. */
export const forgetKept = () => kept.clear();

/**
 * State that belongs to a page of the history: whoever comes back to it by Back finds it as it was. What is opened anew
 * begins anew.
 */
export function useKeptHere<T>(name: string, first: T) {
  const { key } = useLocation();
  const here = `${key} ${name}`;
  const [value, setValue] = useState<T>(() => (kept.has(here) ? (kept.get(here) as T) : first));
  useEffect(() => {
    kept.delete(here);
    kept.set(here, value);
    const oldest = kept.keys().next().value;
    if (kept.size > MOST && oldest !== undefined) kept.delete(oldest);
  }, [here, value]);
  return [value, setValue] as const;
}
