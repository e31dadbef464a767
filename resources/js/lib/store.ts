import { useSyncExternalStore } from 'react';

/** One value that lives outside React, for what the page learns by the way: that a session ended, that there is a newer version. */
export function store<T>(value: T) {
  const listeners = new Set<() => void>();
  const subscribe = (listener: () => void) => {
    listeners.add(listener);
    return () => listeners.delete(listener);
  };
  return {
    get: () => value,
    set: (next: T) => {
      value = next;
      listeners.forEach((listener) => listener());
    },
    use: () => useSyncExternalStore(subscribe, () => value),
  };
}
