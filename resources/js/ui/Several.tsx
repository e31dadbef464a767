import { Popover } from 'radix-ui';
import clsx from 'clsx';
import { control } from './Input';

interface Props {
  label: string;
  /** Codes parted by commas; empty for any. */
  chosen: string;
  options: Readonly<Record<string, string>>;
  onChange: (chosen: string) => void;
  /** What none chosen is; any, unless it is said otherwise. */
  none?: string;
}

/** Chooses several of a few; none chosen is any. */
export function Several({ label, chosen, options, onChange, none }: Props) {
  const codes = chosen === '' ? [] : chosen.split(',');
  const empty = none ?? `Any ${label.toLowerCase()}`;
  const names = codes.map((code) => options[code] ?? code);
  return (
    <Popover.Root>
      <Popover.Trigger
        aria-label={names.length === 0 ? empty : `${label}: ${names.join(', ')}`}
        className={clsx(control, 'target flex h-8 !w-36 items-center justify-between gap-2 text-left')}
      >
        <span className="truncate">{names.length === 0 ? empty : names.join(', ')}</span>
        <span aria-hidden className="text-soft">
          ▾
        </span>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="start"
          aria-label={label}
          className="z-50 min-w-40 border border-strong bg-sheet p-2 shadow-md"
        >
          {Object.entries(options).map(([code, name]) => (
            <label key={code} className="flex min-h-7 items-center gap-2 pr-3">
              <input
                type="checkbox"
                checked={codes.includes(code)}
                onChange={(event) =>
                  onChange(
                    Object.keys(options)
                      .filter((one) => (one === code ? event.target.checked : codes.includes(one)))
                      .join(','),
                  )
                }
              />
              {name}
            </label>
          ))}
          {codes.length > 0 && (
            <button type="button" className="target mt-1 text-accent hover:underline" onClick={() => onChange('')}>
              {none ?? 'Any'}
            </button>
          )}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
