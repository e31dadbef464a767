import { useCallback, useState } from 'react';

/** Text that is typed and not saved yet; it survives a closed tab, per address and field. */
export function useDraft<T extends Record<string, unknown>>(name: string, empty: T) {
  const key = `draft:${name}`;
  const [value, setValue] = useState<T>(() => {
    const kept = localStorage.getItem(key);
    return kept === null ? empty : { ...empty, ...(JSON.parse(kept) as Partial<T>) };
  });
  const change = useCallback(
    (part: Partial<T>) =>
      setValue((before) => {
        const next = { ...before, ...part };
        localStorage.setItem(key, JSON.stringify(next));
        return next;
      }),
    [key],
  );
  const clear = useCallback(() => {
    localStorage.removeItem(key);
    setValue(empty);
  }, [key, empty]);
  return { value, change, clear };
}
