import clsx from 'clsx';
import { useId, useState } from 'react';
import { parseDay } from '../lib/days';
import { day, today } from '../lib/format';
import { control } from './Input';

interface Props {
  /** As ISO 8601 writes it; empty for none. */
  value: string;
  onChange: (value: string) => void;
  className?: string;
  disabled?: boolean;
  /** The first day that can be meant. */
  min?: string;
  id?: string;
  'aria-label'?: string;
  'aria-invalid'?: boolean;
  'aria-describedby'?: string;
}

/** A day, typed as people write it (26 Nov 2026, 26.11.26, 2026-11-26, +5, next Mon); shows at once how it was understood. */
export function DateInput({ value, onChange, className, disabled = false, min, ...rest }: Props) {
  const noteId = useId();
  const [typed, setTyped] = useState<string | null>(null);
  const understood = typed === null || typed.trim() === '' ? null : parseDay(typed, today());
  const early = understood !== null && min !== undefined && understood < min;
  const wrong = typed !== null && typed.trim() !== '' && (understood === null || early);
  const note = early
    ? `Not before ${day(min)}.`
    : wrong
      ? 'No such day. Write 26 Nov 2026, 2026-11-26, +5 or next Mon.'
      : understood !== null && typed !== day(understood)
        ? day(understood)
        : '';
  return (
    <span className={clsx('relative inline-block w-full', className)}>
      <input
        {...rest}
        type="text"
        disabled={disabled}
        autoComplete="off"
        placeholder="Day"
        aria-invalid={wrong || rest['aria-invalid'] === true}
        aria-describedby={clsx(rest['aria-describedby'], note !== '' && noteId) || undefined}
        value={typed ?? day(value)}
        className={clsx(control, 'h-8')}
        onChange={(event) => {
          setTyped(event.target.value);
          const said = event.target.value.trim();
          const meant = parseDay(said, today());
          if (said === '') onChange('');
          else if (meant !== null && !(min !== undefined && meant < min)) onChange(meant);
          // What cannot be read is no day: the one before must not stay behind it unseen.
          else if (value !== '') onChange('');
        }}
        onBlur={() => {
          if (!wrong) setTyped(null);
        }}
      />
      {note !== '' && (
        <span
          id={noteId}
          role={wrong ? 'alert' : 'status'}
          className={clsx(
            'absolute top-full left-0 z-20 bg-sheet px-1 text-sm whitespace-nowrap',
            wrong ? 'text-alarm' : 'text-soft',
          )}
        >
          {wrong ? '▸ ' : '= '}
          {note}
        </span>
      )}
    </span>
  );
}
