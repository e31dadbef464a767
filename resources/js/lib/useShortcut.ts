import { useEffect, useRef } from 'react';
import { letterKeys } from './letterKeys';

/** Where letters are typed, or choose something: no shortcut of letters acts there. */
const TAKES_LETTERS =
  'input, textarea, select, [contenteditable], [role=listbox], [role=menu], [role=combobox], [role=option], [role=menuitem], [role=textbox], [role=slider], [role=dialog], [data-takes-letters]';

const takesLetters = (target: EventTarget | null) =>
  target instanceof HTMLElement && (target.isContentEditable || target.closest(TAKES_LETTERS) !== null);

/** How long after its first key the second of a sequence may come. */
const PATIENCE = 1_500;

/**
 * Calls back on a key: one with "mod+" for Ctrl or Command as in "mod+z", or a sequence of two as in "g d". No single
 * letter acts by itself; sequences rest where letters are typed or choose, and while the person has switched them off.
 */
export function useShortcut(keys: string, callback: () => void, active = true) {
  const latest = useRef(callback);
  useEffect(() => {
    latest.current = callback;
  });
  useEffect(() => {
    if (!active) return;
    const withMod = keys.startsWith('mod+');
    return withMod ? onKeyWithMod(keys, () => latest.current()) : onSequence(keys.split(' '), () => latest.current());
  }, [keys, active]);
}

function onKeyWithMod(keys: string, act: () => void): () => void {
  const parts = keys.split('+');
  const name = parts.at(-1) ?? '';
  const shift = parts.includes('shift');
  const onKey = (event: KeyboardEvent) => {
    if (event.key.toLowerCase() !== name || !(event.ctrlKey || event.metaKey)) return;
    if (event.shiftKey !== shift || event.altKey) return;
    // What is undone in a field is what was typed there: that is the field's own.
    if (name === 'z' && takesText(event.target)) return;
    event.preventDefault();
    act();
  };
  window.addEventListener('keydown', onKey);
  return () => window.removeEventListener('keydown', onKey);
}

const takesText = (target: EventTarget | null) =>
  target instanceof HTMLElement && (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName));

function onSequence(keys: string[], act: () => void): () => void {
  let at = 0;
  let last = 0;
  const onKey = (event: KeyboardEvent) => {
    if (event.ctrlKey || event.metaKey || event.altKey || event.key === 'Shift') return;
    if (!letterKeys.areOn() || takesLetters(event.target)) {
      at = 0;
      return;
    }
    if (at > 0 && event.timeStamp - last > PATIENCE) at = 0;
    last = event.timeStamp;
    at = event.key === keys[at] ? at + 1 : event.key === keys[0] ? 1 : 0;
    if (at < keys.length) return;
    at = 0;
    event.preventDefault();
    act();
  };
  window.addEventListener('keydown', onKey);
  return () => window.removeEventListener('keydown', onKey);
}
