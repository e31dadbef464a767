import type { Schemas } from '../lib/api';
import { Button } from './Button';
import { ChangePicker } from './ChangePicker';
import { ChangeNumber } from './Num';

type Change = Schemas['ChangeRow'];

interface Props {
  label: string;
  types: Change['type'][];
  fits?: (change: Change) => boolean;
  /** Open ones alone, unless it is said otherwise. */
  show?: 'open' | 'all';
  chosen: Pick<Change, 'number' | 'title'> | null;
  onChoose: (change: Change | null) => void;
  error?: string | undefined;
}

/** One change that somebody names: found by words or number, shown once it is chosen. */
export function ChosenChange({ label, types, fits, show = 'open', chosen, onChoose, error }: Props) {
  return (
    <div>
      {chosen === null ? (
        <ChangePicker
          label={label}
          types={types}
          show={show}
          {...(fits === undefined ? {} : { fits })}
          invalid={error !== undefined}
          onPick={onChoose}
        />
      ) : (
        <p className="flex h-8 items-center gap-2">
          <ChangeNumber number={chosen.number} />
          <span className="truncate">{chosen.title}</span>
          <Button look="quiet" aria-label={`Remove ${chosen.number}`} onClick={() => onChoose(null)}>
            Remove
          </Button>
        </p>
      )}
      {error !== undefined && <p className="mt-0.5 text-sm text-alarm">▸ {error}</p>}
    </div>
  );
}
