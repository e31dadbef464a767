import { useCallback, useState } from 'react';
import { dropKept, isRecord, readKept, writeKept } from './storage';

interface Kept<T> {
  /** What was there when somebody began to type. */
  base: string;
  value: Partial<T>;
}

/** What was kept under a name, as far as it fits what is asked for: a damaged draft must not break a page. */
function keptDraft<T extends Record<string, unknown>>(name: string, empty: T): Kept<T> | null {
  const kept = readKept(name);
  if (!isRecord(kept) || !isRecord(kept.value)) return null;
  const fits = Object.entries(kept.value).filter(
    ([field, value]) =>
      field in empty && typeof value === typeof empty[field] && Array.isArray(value) === Array.isArray(empty[field]),
  );
  return { base: typeof kept.base === 'string' ? kept.base : '', value: Object.fromEntries(fits) as Partial<T> };
}

/**
 * Text that is typed and not saved yet; it survives a closed tab, per person and name.
 *
 * @param base says what it is typed over, such as a version. When that is another one by now, somebody saved meanwhile:
 * the page shows what there is, and what was typed is offered as `older`, never laid over it by itself.
 */
export function useDraft<T extends Record<string, unknown>>(name: string, empty: T, base = '') {
  const key = `draft:${name}`;
  const [state, setState] = useState<State<T>>(() => {
    const kept = keptDraft(key, empty);
    return kept === null ? { value: empty, older: null, base } : onto(base, empty, kept);
  });
  if (state.base !== base) {
    // Saved meanwhile, by this person or by another: what was typed is kept only where it says something else.
    const typed = keptDraft(key, empty);
    const next = typed === null ? { value: empty, older: null, base } : onto(base, empty, typed);
    if (typed !== null && next.older === null) dropKept(key);
    setState(next);
  }
  const change = useCallback(
    (part: Partial<T>) =>
      setState((before) => {
        const value = { ...before.value, ...part };
        writeKept(key, { base, value });
        return { value, older: null, base };
      }),
    [key, base],
  );
  const clear = useCallback(() => {
    dropKept(key);
    setState({ value: empty, older: null, base });
  }, [key, empty, base]);
  return { value: state.value, older: state.older, change, clear };
}

interface State<T> {
  value: T;
  older: Partial<T> | null;
  base: string;
}

function onto<T extends Record<string, unknown>>(base: string, empty: T, kept: Kept<T>): State<T> {
  const value = { ...empty, ...kept.value };
  if (kept.base === base) return { value, older: null, base };
  const same = Object.keys(empty).every((field) => JSON.stringify(value[field]) === JSON.stringify(empty[field]));
  return { value: empty, older: same ? null : kept.value, base };
}
