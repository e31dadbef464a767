import { useState } from 'react';
import type { Schemas } from '../../lib/api';
import { Button } from '../../ui/Button';
import { ItemPicker } from '../../ui/ItemPicker';
import { ItemNumber } from '../../ui/Num';

interface Props {
  label: string;
  /** As the server knows it, once it does. */
  item: Schemas['ItemRow'] | undefined;
  number: string;
  error: string | undefined;
  onPick: (number: string) => void;
  /** Not given: it cannot be empty once it was chosen. */
  onClear?: () => void;
}

/** One item that is chosen, with a way to choose another. */
export function NamedItem({ label, item, number, error, onPick, onClear }: Props) {
  const [choosing, setChoosing] = useState(false);
  return (
    <div>
      <span className="mb-0.5 block text-sm font-medium text-soft">{label}</span>
      {number === '' || choosing ? (
        <ItemPicker
          label={label}
          focusAtOnce={choosing}
          invalid={error !== undefined}
          onCancel={() => setChoosing(false)}
          onPick={(found) => {
            setChoosing(false);
            onPick(found.number);
          }}
        />
      ) : (
        <div className="flex h-8 items-center gap-2">
          <span className="shrink-0">
            <ItemNumber number={number} />
          </span>
          <span className="min-w-0 truncate">{item?.number === number ? item.title : ''}</span>
          <Button look="quiet" aria-label={`Change ${label.toLowerCase()}`} onClick={() => setChoosing(true)}>
            Change
          </Button>
          {onClear && (
            <Button look="quiet" aria-label={`Remove ${label.toLowerCase()}`} onClick={onClear}>
              Remove
            </Button>
          )}
        </div>
      )}
      {error !== undefined && <p className="mt-0.5 text-sm text-alarm">▸ {error}</p>}
    </div>
  );
}
