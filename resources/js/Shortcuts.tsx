import { Dialog } from './ui/Dialog';

const keys: [string, string][] = [
  ['Ctrl K', 'Find an item, a change or a page'],
  ['g', 'Go to the Desk'],
  ['n', 'Raise a change request'],
  ['↑ ↓ Home End', 'Move along the rows of a table'],
  ['Enter', 'Open the row, or edit the cell'],
  ['Ctrl C', 'Copy the row; with Shift, all rows'],
  ['Ctrl Z', 'Undo an edit of a structure; with Shift, redo'],
  ['c', 'On a structure under an order: all lines, or only what differs'],
  ['a', 'On a structure under an order: add a line'],
  ['Delete', 'On a line under an order: remove it'],
  ['?', 'This list'],
];

export function Shortcuts({ open, onClose }: { open: boolean; onClose: () => void }) {
  return (
    <Dialog open={open} onClose={onClose} title="Keys">
      <dl className="grid grid-cols-[10rem_1fr] gap-y-1">
        {keys.map(([key, meaning]) => (
          <div key={key} className="contents">
            <dt className="font-mono text-sm">{key}</dt>
            <dd>{meaning}</dd>
          </div>
        ))}
      </dl>
    </Dialog>
  );
}
