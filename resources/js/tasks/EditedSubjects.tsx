import type { Schemas } from '../lib/api';
import { offered } from '../lib/choices';
import { ItemNumber } from '../ui/Num';

export type Edited = Schemas['TaskSubjectRow'];
type Editable = Schemas['EditableItem'];

interface Props {
  items: Editable[];
  chosen: Edited[];
  onChange: (chosen: Edited[]) => void;
  error: string | undefined;
}

/** What can be edited of an item, in columns: what engineering declares of it, what each plant builds, its data. */
interface Kind {
  kind: string;
  plant: string;
  head: string;
}

/** Whether the order lets something of the item change that a task could edit. */
const may = ({ outcome }: Editable, kind: string) =>
  outcome === 'revise' || (outcome === 'build' && kind !== 'engineering') || kind === 'item_data';

/** What of these the order still changes. */
export const stillEdited = (chosen: Edited[], items: Editable[]) =>
  chosen.filter(({ item, kind }) => items.some((one) => one.item === item && may(one, kind)));

const isOf = (one: Edited, item: string, { kind, plant }: Kind) =>
  one.item === item && one.kind === kind && one.plant === plant;

/** What a task edits of the items of its order. */
export function EditedSubjects({ items, chosen, onChange, error }: Props) {
  const plants = Object.keys(offered('site'));
  const kinds: Kind[] = [
    { kind: 'engineering', plant: '', head: 'Engineering' },
    ...plants.map((plant) => ({ kind: 'manufacturing', plant, head: `Plant ${plant}` })),
    { kind: 'item_data', plant: '', head: 'Item data' },
  ];
  const set = (some: Editable[], of: Kind, on: boolean) => {
    const rest = chosen.filter((one) => !some.some(({ item }) => isOf(one, item, of)));
    const added = on ? some.map(({ item }) => ({ item, kind: of.kind, plant: of.plant })) : [];
    onChange([...rest, ...added]);
  };
  return (
    <fieldset>
      <legend className="text-sm font-medium text-soft">Edits on the order</legend>
      <div className="max-h-64 w-fit max-w-full overflow-auto border-y border-rule">
        <table className="border-collapse">
          <thead className="sticky top-0 bg-sheet text-sm text-soft">
            <tr>
              <th className="pr-6 text-left font-medium">Item</th>
              {kinds.map((of) => {
                const able = items.filter((item) => may(item, of.kind));
                const all = able.length > 0 && able.every(({ item }) => chosen.some((one) => isOf(one, item, of)));
                return (
                  <th key={of.head} className="px-3 text-left font-medium whitespace-nowrap">
                    {items.length > 1 ? (
                      <label className="inline-flex min-h-6 items-center gap-1.5">
                        <input
                          type="checkbox"
                          aria-label={`${of.head} of all items`}
                          checked={all}
                          disabled={able.length === 0}
                          onChange={(event) => set(able, of, event.target.checked)}
                        />
                        {of.head}
                      </label>
                    ) : (
                      of.head
                    )}
                  </th>
                );
              })}
            </tr>
          </thead>
          <tbody>
            {items.map((item) => (
              <tr key={item.item} className="border-t border-rule">
                <th scope="row" className="pr-6 text-left font-normal">
                  <ItemNumber number={item.item} /> {item.title}
                </th>
                {kinds.map((of) => (
                  <td key={of.head} className="px-3">
                    {may(item, of.kind) && (
                      <label className="inline-flex min-h-6 min-w-6 items-center">
                        <input
                          type="checkbox"
                          aria-label={`${of.head} of ${item.item}`}
                          checked={chosen.some((one) => isOf(one, item.item, of))}
                          onChange={(event) => set([item], of, event.target.checked)}
                        />
                      </label>
                    )}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {error !== undefined && <p className="text-sm text-alarm">▸ {error}</p>}
    </fieldset>
  );
}
