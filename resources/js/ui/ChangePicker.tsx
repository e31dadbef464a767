import type { Schemas } from '../lib/api';
import { queries } from '../lib/queries';
import { states } from '../lib/words';
import { Picker } from './Picker';

type Change = Schemas['ChangeRow'];

interface Props {
  label: string;
  /** Which kinds of change can be meant. */
  types: Change['type'][];
  /** Whether this one can be meant. */
  fits?: (change: Change) => boolean;
  /** Open ones alone, unless it is said otherwise. */
  show?: 'open' | 'all';
  onPick: (change: Change) => void;
  invalid?: boolean;
  placeholder?: string;
  className?: string;
}

/** Finds a report, request or order by its number or title. */
export function ChangePicker({ types, fits = () => true, show = 'open', ...rest }: Props) {
  return (
    <Picker<Change>
      find={(words) => {
        const { queryKey, queryFn } = queries.changesNamed(words, types, show);
        return {
          queryKey: [...queryKey, 'picked'],
          queryFn: async () => {
            const found = await queryFn();
            return { ...found, rows: found.rows.filter(fits) };
          },
        };
      }}
      numberOf={(change) => change.number}
      placeholder="Number or title"
      {...rest}
    >
      {(change) => (
        <>
          <span className="font-mono text-sm whitespace-nowrap">{change.number}</span>
          <span className="truncate">{change.title}</span>
          <span className="ml-auto text-sm whitespace-nowrap text-soft">{states[change.state] ?? change.state}</span>
        </>
      )}
    </Picker>
  );
}
