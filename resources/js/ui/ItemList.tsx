import { useQuery } from '@tanstack/react-query';
import { queries } from '../lib/queries';
import { Button } from './Button';
import { ItemPicker } from './ItemPicker';
import { ItemNumber } from './Num';

interface Props {
  label: string;
  /** What the field for a further one is called. */
  add?: string;
  numbers: string[];
  error: string | undefined;
  onChange: (numbers: string[]) => void;
}

/** Items that are named one after another, each of which can be taken off again. */
export function ItemList({ label, add = 'Add an affected item', numbers, error, onChange }: Props) {
  return (
    <section aria-label={label}>
      <h2 className="mb-1 text-base">{label}</h2>
      {numbers.length > 0 && (
        <ul className="mb-1 border-y border-rule bg-sheet">
          {numbers.map((number) => (
            <li
              key={number}
              className="flex items-center justify-between gap-3 border-t border-rule px-2 py-0.5 first:border-t-0"
            >
              <Named number={number} />
              <Button
                look="quiet"
                aria-label={`Remove ${number}`}
                onClick={() => onChange(numbers.filter((one) => one !== number))}
              >
                Remove
              </Button>
            </li>
          ))}
        </ul>
      )}
      <ItemPicker
        label={add}
        placeholder="Add an item: number or title"
        onPick={(item) => onChange([...new Set([...numbers, item.number])])}
        invalid={error !== undefined}
      />
      {error !== undefined && <p className="mt-0.5 text-sm text-alarm">▸ {error}</p>}
    </section>
  );
}

/** An item by its number, as it comes from an address or a draft, with its title as soon as that is known. */
function Named({ number }: { number: string }) {
  const item = useQuery({ ...queries.item(number), retry: false });
  return (
    <span className="flex min-w-0 items-baseline gap-3">
      <ItemNumber number={number} />
      {item.data && <span className="truncate">{item.data.item.title}</span>}
      {item.isError && <span className="text-sm text-alarm">▸ There is no such item.</span>}
    </span>
  );
}
