import { useCallback, useEffect, useState } from 'react';
import { NavigationType, useLocation, useNavigationType } from 'react-router';

const kept = new Map<string, unknown>();
const MOST = 300;

/** Forgets all of it. */
export const forgetKept = () => kept.clear();

/**
 * State that belongs to a page of the history: whoever comes back to it by Back finds it as it was. What is opened anew
 * begins anew, also where the same component shows it; an address that only says more of the same page changes nothing.
 */
export function useKeptHere<T>(name: string, first: T) {
  const { key } = useLocation();
  const replaced = useNavigationType() === NavigationType.Replace;
  const here = `${key} ${name}`;
  const read = () => (kept.has(here) ? (kept.get(here) as T) : first);
  const [state, setState] = useState(() => ({ here, name, value: read() }));
  if (state.here !== here)
    setState({ here, name, value: replaced && state.name === name && !kept.has(here) ? state.value : read() });
  useEffect(() => {
    kept.delete(state.here);
    kept.set(state.here, state.value);
    const oldest = kept.keys().next().value;
    if (kept.size > MOST && oldest !== undefined) kept.delete(oldest);
  }, [state]);
  const setValue = useCallback(
    (next: (before: T) => T) => setState((before) => ({ ...before, value: next(before.value) })),
    [],
  );
  return [state.value, setValue] as const;
}
