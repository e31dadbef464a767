import { useSearchParams } from 'react-router';
import { useShortcut } from '../lib/useShortcut';

interface Keys {
  mayEdit: boolean;
  onAdd: () => void;
  /** Null: there is nothing to take back, or to do again. */
  undo: (() => void) | null;
  redo: (() => void) | null;
}

/** How a table of before and after is looked at, which the address keeps; and the keys that it shares with its like. */
export function useRedlineView({ mayEdit, onAdd, undo, redo }: Keys) {
  const [params, setParams] = useSearchParams();
  const only = params.get('show') === 'differences';
  const wide = params.has('wide');
  const turn = (name: string, value: string | null) =>
    setParams(
      (before) => {
        if (value === null) before.delete(name);
        else before.set(name, value);
        return before;
      },
      { replace: true },
    );
  const turnOnly = () => turn('show', only ? null : 'differences');
  useShortcut('v d', turnOnly);
  useShortcut('l n', onAdd, mayEdit);
  useShortcut('mod+z', () => undo?.(), mayEdit && undo !== null);
  useShortcut('mod+shift+z', () => redo?.(), mayEdit && redo !== null);
  return { only, wide, turnOnly, turnWide: () => turn('wide', wide ? null : 'yes') };
}
