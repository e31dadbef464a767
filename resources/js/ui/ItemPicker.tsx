import type { Schemas } from '../lib/api';
import { queries } from '../lib/queries';
import { Picker } from './Picker';
import { Thumbnail } from './Thumbnail';

type Item = Schemas['ItemRow'];

interface Props {
  onPick: (item: Item) => void;
  label: string;
  initial?: string;
  begun?: string | null;
  placeholder?: string;
  focusAtOnce?: boolean;
  onCancel?: () => void;
  invalid?: boolean;
  className?: string;
}

/** Finds an item by its number or title. */
export function ItemPicker({ placeholder = 'Number or title', ...rest }: Props) {
  return (
    <Picker<Item>
      find={(words) => queries.itemsNamed(words)}
      numberOf={(item) => item.number}
      placeholder={placeholder}
      {...rest}
    >
      {(item) => (
        <>
          <Thumbnail file={item.picture} />
          <span className="font-mono text-sm whitespace-nowrap">{item.number}</span>
          <span className="truncate">{item.title}</span>
          <span className="ml-auto text-sm text-soft">{item.unit}</span>
        </>
      )}
    </Picker>
  );
}
