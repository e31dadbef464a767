import type { Schemas } from '../../lib/api';
import { Button } from '../../ui/Button';
import { DecimalInput } from '../../ui/DecimalInput';
import { ItemPicker } from '../../ui/ItemPicker';
import { ItemNumber } from '../../ui/Num';
import { type Incoming } from './useReplacement';

interface Props {
  coming: Incoming[];
  /** As the server knows them. */
  items: Schemas['ReplacedItem'][];
  oldUnit: string | undefined;
  error: string | undefined;
  onChange: (coming: Incoming[]) => void;
}

/** What takes the place: nothing, one or several items, each with how many of it for one of the old. */
export function Coming({ coming, items, oldUnit, error, onChange }: Props) {
  return (
    <section aria-label="Replaced by">
      <span className="mb-0.5 block text-sm font-medium text-soft">Replaced by</span>
      {coming.map((one, at) => {
        const known = items.find(({ item }) => item.number === one.number)?.item;
        return (
          <div key={one.number} className="mb-1 flex h-8 items-center gap-2">
            <span className="w-16 shrink-0">
              <DecimalInput
                aria-label={`Quantity of ${one.number} for one`}
                value={one.ratio}
                onChange={(ratio) => onChange(coming.map((other, place) => (place === at ? { ...one, ratio } : other)))}
              />
            </span>
            <span className="text-sm whitespace-nowrap text-soft">
              {known?.unit ?? ''} for 1 {oldUnit ?? ''}
            </span>
            <span className="shrink-0">
              <ItemNumber number={one.number} />
            </span>
            <span className="min-w-0 truncate" title={known?.title}>
              {known?.title ?? ''}
            </span>
            <Button
              look="quiet"
              aria-label={`Remove ${one.number}`}
              onClick={() => onChange(coming.filter((_, place) => place !== at))}
            >
              Remove
            </Button>
          </div>
        );
      })}
      <ItemPicker
        label="Add what comes"
        placeholder={
          coming.length === 0 ? 'Nothing: the line is removed. Number or title' : 'And another: number or title'
        }
        invalid={error !== undefined}
        onPick={(item) =>
          coming.some(({ number }) => number === item.number)
            ? undefined
            : onChange([...coming, { number: item.number, ratio: '1' }])
        }
      />
      {error !== undefined && <p className="mt-0.5 text-sm text-alarm">▸ {error}</p>}
    </section>
  );
}
