import { useState } from 'react';
import { letterKeys } from './lib/letterKeys';
import { Dialog } from './ui/Dialog';

const keys: [string, string][] = [
  ['Ctrl K', 'Find an item, a change or a page'],
  [
    'g d',
    'Go to the Desk; g r Register, g p problem reports, g i items, g c compare, g h hand-overs, g m meeting, g n notices',
  ],
  ['t n', 'Next task of the Desk; t p previous task'],
  ['n r', 'New change request; n p new problem report'],
  ['↑ ↓ Page Home End', 'Move along the rows of a table; with Shift, mark them'],
  ['Shift ← →', 'Mark columns of a table'],
  ['Enter', 'Open the row, or edit the cell'],
  ['Space', 'Select the row'],
  ['Ctrl C', 'Copy what is marked; with Shift, all rows'],
  ['Ctrl A', 'Mark all rows'],
  ['Alt ← →', 'On a column head: narrower, wider; with Shift, move the column'],
  ['Ctrl Z', 'Undo an edit of a structure; with Shift, redo'],
  ['v d', 'On a structure under an order: all lines, or only what differs'],
  ['v e', 'At a plant under an order: engineering beside, or not'],
  ['l n', 'On a structure under an order: add a line'],
  ['Alt ↑ ↓', 'On lines under an order: move what is marked up or down; at a plant, to another operation'],
  ['Delete', 'On a line under an order: remove it'],
  ['?', 'This list'],
];

export function Shortcuts({ open, onClose }: { open: boolean; onClose: () => void }) {
  const [on, setOn] = useState(letterKeys.areOn);
  return (
    <Dialog open={open} onClose={onClose} title="Keyboard shortcuts">
      <dl className="grid grid-cols-[9rem_1fr] gap-y-1">
        {keys.map(([key, meaning]) => (
          <div key={key} className="contents">
            <dt className="font-mono text-sm">{key}</dt>
            <dd>{meaning}</dd>
          </div>
        ))}
      </dl>
      <label className="mt-3 flex items-center gap-2 border-t border-rule pt-3">
        <input
          type="checkbox"
          checked={on}
          onChange={(event) => {
            setOn(event.target.checked);
            letterKeys.set(event.target.checked);
          }}
        />
        Shortcuts of letters and ? (those with Ctrl work always)
      </label>
    </Dialog>
  );
}
