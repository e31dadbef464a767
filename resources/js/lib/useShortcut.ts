import { useEffect, useRef } from 'react';

const typing = (target: EventTarget | null) =>
  target instanceof HTMLElement && (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName));

/**
 * Calls back when a key is pressed: "?" or "c", or with "mod+" for Ctrl or Command, as in "mod+z". A plain letter does
 * nothing while somebody types.
 */
export function useShortcut(key: string, callback: () => void, active = true) {
  const latest = useRef(callback);
  useEffect(() => {
    latest.current = callback;
  });
  useEffect(() => {
    if (!active) return;
    const parts = key.split('+');
    const name = parts.at(-1) ?? '';
    const mod = parts.includes('mod');
    const shift = parts.includes('shift');
    const onKey = (event: KeyboardEvent) => {
      if (event.key.toLowerCase() !== name || (event.ctrlKey || event.metaKey) !== mod) return;
      if ((mod && event.shiftKey !== shift) || event.altKey || (!mod && typing(event.target))) return;
      event.preventDefault();
      latest.current();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [key, active]);
}
