import { useQuery } from '@tanstack/react-query';
import clsx from 'clsx';
import { useId, useState, type KeyboardEvent } from 'react';
import type { Schemas } from '../lib/api';
import { queries } from '../lib/queries';
import { control } from './Input';

interface Props {
  onPick: (item: Schemas['ItemRow']) => void;
  label: string;
  /** What stands in the field to begin with. */
  initial?: string;
  placeholder?: string;
  focusAtOnce?: boolean;
  onCancel?: () => void;
  invalid?: boolean;
  className?: string;
}

/** Finds an item while its number or title is typed (a combobox as in the ARIA authoring practices). */
export function ItemPicker(props: Props) {
  const {
    onPick,
    label,
    initial = '',
    placeholder = 'Number or title',
    focusAtOnce = false,
    onCancel,
    invalid,
    className,
  } = props;
  const id = useId();
  const [words, setWords] = useState(initial);
  const [open, setOpen] = useState(false);
  const [active, setActive] = useState(0);
  const found = useQuery({ ...queries.items(words), enabled: open && words.trim() !== '' });
  const items = open && words.trim() !== '' ? (found.data ?? []).slice(0, 8) : [];

  const pick = (item: Schemas['ItemRow']) => {
    onPick(item);
    setWords(initial);
    setOpen(false);
    setActive(0);
  };
  const onKey = (event: KeyboardEvent) => {
    if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
      event.preventDefault();
      setOpen(true);
      setActive((at) => Math.max(0, Math.min(items.length - 1, at + (event.key === 'ArrowDown' ? 1 : -1))));
    } else if (event.key === 'Enter') {
      event.preventDefault();
      const item = items[active];
      if (item) pick(item);
    } else if (event.key === 'Escape') {
      event.stopPropagation();
      setOpen(false);
      onCancel?.();
    }
  };

  return (
    <div className={clsx('relative', className)}>
      <input
        id={id}
        role="combobox"
        aria-label={label}
        aria-expanded={items.length > 0}
        aria-controls={`${id}-list`}
        aria-activedescendant={items.length > 0 ? `${id}-${active}` : undefined}
        aria-invalid={invalid}
        autoComplete="off"
        // The cell or form that was just opened by the person is where they type.
        // eslint-disable-next-line jsx-a11y/no-autofocus
        autoFocus={focusAtOnce}
        placeholder={placeholder}
        value={words}
        className={clsx(control, 'h-8')}
        onChange={(event) => {
          setWords(event.target.value);
          setOpen(true);
          setActive(0);
        }}
        onKeyDown={onKey}
        onBlur={() => setOpen(false)}
      />
      <ul
        id={`${id}-list`}
        role="listbox"
        aria-label={`${label}, found`}
        className={clsx(
          'absolute z-40 mt-0.5 w-[26rem] border border-strong bg-sheet shadow-md',
          items.length === 0 && 'hidden',
        )}
      >
        {items.map((item, index) => (
          <li
            key={item.number}
            id={`${id}-${index}`}
            role="option"
            aria-selected={index === active}
            className={clsx('flex gap-3 px-2 py-1', index === active && 'bg-accent-soft')}
            onMouseDown={(event) => {
              event.preventDefault();
              pick(item);
            }}
            onMouseEnter={() => setActive(index)}
          >
            <span className="font-mono text-sm whitespace-nowrap">{item.number}</span>
            <span className="truncate">{item.title}</span>
            <span className="ml-auto text-sm text-soft">{item.unit}</span>
          </li>
        ))}
      </ul>
      {open && found.data?.length === 0 && words.trim() !== '' && (
        <p className="absolute z-40 mt-0.5 border border-strong bg-sheet px-2 py-1 text-sm text-soft">
          Nothing reads like “{words}”.
        </p>
      )}
    </div>
  );
}
