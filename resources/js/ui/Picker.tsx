import { useQuery, useQueryClient } from '@tanstack/react-query';
import clsx from 'clsx';
import { useCombobox } from 'downshift';
import { useId, useRef, useState, type ComponentProps, type KeyboardEvent, type ReactNode } from 'react';
import { control } from './Input';

export interface Found<Row> {
  rows: Row[];
  total: number;
  /** Errors in the words, when nothing is of that number. */
  hint?: string | null;
}

interface Props<Row> {
  label: string;
  /** The question to the server for some words. */
  find: (words: string) => { queryKey: readonly unknown[]; queryFn: () => Promise<Found<Row>> };
  /** The number that names a row exactly. */
  numberOf: (row: Row) => string;
  /** How a row reads in the list. */
  children: (row: Row) => ReactNode;
  onPick: (row: Row) => void;
  /** What stands in the field to begin with. */
  initial?: string;
  /** What has been typed already, when it was opened by a key. */
  begun?: string | null;
  placeholder?: string;
  focusAtOnce?: boolean;
  onCancel?: () => void;
  invalid?: boolean;
  className?: string;
  id?: string;
  'aria-describedby'?: string;
}

const SHOWN = 8;

/**
 * Finds one of many while its number or words are typed. What is taken is what was meant: Enter waits for the answer to
 * the very words in the field, an exact number wins over all else, an exact number is also taken on leaving the field,
 * and words that were not taken do not stay in it as if they were.
 */
export function Picker<Row>(props: Props<Row>) {
  const { label, find, numberOf, children, onPick, initial = '', placeholder, focusAtOnce = false, onCancel } = props;
  const noteId = useId();
  const [words, setWords] = useState(props.begun ?? initial);
  const [typed, setTyped] = useState(props.begun != null);
  /** Enter was pressed, or the field was left, before the answer was there. */
  const [pending, setPending] = useState(false);
  const turn = useRef(0);
  const client = useQueryClient();
  const [lost, setLost] = useState('');
  const asked = words.trim();
  const query = useQuery({
    ...find(asked),
    enabled: typed && asked !== '',
    placeholderData: (before: Found<Row> | undefined) => before,
  });
  // The answer before may still be on screen: it belongs to other words.
  const fresh = !query.isPlaceholderData && query.data !== undefined;
  const rows = typed && asked !== '' ? (query.data?.rows ?? []).slice(0, SHOWN) : [];

  const combobox = useCombobox<Row>({
    items: rows,
    inputValue: words,
    defaultHighlightedIndex: 0,
    initialIsOpen: props.begun != null,
    itemToString: (row) => (row === null ? '' : numberOf(row)),
    itemToKey: (row) => (row === null ? '' : numberOf(row)),
    getA11yStatusMessage: ({ isOpen, inputValue }) => {
      if (!isOpen || inputValue.trim() === '') return '';
      if (!fresh) return 'Looking.';
      return rows.length === 0 ? 'Nothing found.' : `${rows.length} found. Arrow keys choose, Enter takes.`;
    },
    onSelectedItemChange: ({ selectedItem }) => {
      if (selectedItem) take(selectedItem);
    },
    selectedItem: null,
    // Leaving the field takes nothing by itself: what is meant is settled when the answer to the words is there.
    stateReducer: (state, { type, changes }) =>
      type === useCombobox.stateChangeTypes.InputBlur
        ? { ...changes, selectedItem: state.selectedItem, inputValue: state.inputValue }
        : changes,
  });
  const { isOpen, highlightedIndex, getInputProps, getMenuProps, getItemProps, getLabelProps, closeMenu } = combobox;

  /** Whatever was waited for counts no longer: something else was typed or taken. */
  function stop() {
    turn.current++;
    setPending(false);
  }
  function take(row: Row) {
    stop();
    setWords(initial);
    setTyped(false);
    setLost('');
    closeMenu();
    onPick(row);
  }
  /** Takes what is meant by the words in the field, as soon as the server has answered to just these words. */
  async function settle(left: boolean) {
    stop();
    const mine = turn.current;
    setPending(true);
    const answer = await client.query({ ...find(asked), staleTime: 5_000 }).catch(() => null);
    if (turn.current !== mine) return;
    stop();
    const exact = answer?.rows.find((row) => numberOf(row).toLowerCase() === asked.toLowerCase());
    const meant = exact ?? (left ? undefined : answer?.rows[Math.max(0, highlightedIndex)]);
    if (meant !== undefined) take(meant);
    else if (left) {
      setLost(asked);
      setWords(initial);
      setTyped(false);
    }
  }

  /** Enter and Escape are ours; arrows and all else the combobox knows. */
  const ownKey = (event: KeyboardEvent<HTMLInputElement>): boolean => {
    if (event.key !== 'Enter' && event.key !== 'Escape') return false;
    event.stopPropagation();
    if (event.key === 'Enter') {
      event.preventDefault();
      if (typed && asked !== '') void settle(false);
    } else {
      stop();
      setTyped(false);
      setWords(initial);
      closeMenu();
      onCancel?.();
    }
    return true;
  };
  const input = getInputProps() as ComponentProps<'input'> &
    Required<Pick<ComponentProps<'input'>, 'onChange' | 'onKeyDown' | 'onBlur'>>;
  const open = isOpen && typed && asked !== '';
  const note = lost !== '' ? `“${lost}” was not chosen. Type more, and take one from the list.` : '';
  return (
    <div className={clsx('relative', props.className)}>
      <label {...getLabelProps()} className="sr-only">
        {label}
      </label>
      <input
        {...input}
        {...(props.id === undefined ? {} : { id: props.id })}
        onChange={(event) => {
          // At once, not when the combobox tells of it: whoever types fast would lose letters between the two.
          setWords(event.target.value);
          setTyped(true);
          stop();
          setLost('');
          input.onChange(event);
        }}
        onKeyDown={(event) => {
          if (!ownKey(event)) input.onKeyDown(event);
        }}
        onBlur={(event) => {
          if (typed && asked !== '') void settle(true);
          input.onBlur(event);
        }}
        aria-label={label}
        aria-invalid={props.invalid === true || lost !== ''}
        aria-describedby={clsx(props['aria-describedby'], note !== '' && noteId) || undefined}
        aria-busy={pending}
        autoComplete="off"
        spellCheck={false}
        // The cell or form that was just opened by the person is where they type.
        // eslint-disable-next-line jsx-a11y/no-autofocus
        autoFocus={focusAtOnce}
        placeholder={placeholder}
        className={clsx(control, 'h-8')}
      />
      <ul
        {...getMenuProps({ 'aria-label': `${label}, found` })}
        className={clsx(
          'absolute z-40 mt-0.5 w-[26rem] max-w-[90vw] border border-strong bg-sheet shadow-md',
          (!open || rows.length === 0) && 'hidden',
        )}
      >
        {open &&
          rows.map((row, index) => (
            <li
              key={numberOf(row)}
              {...getItemProps({ item: row, index })}
              className={clsx(
                'flex gap-3 px-2 py-1',
                index === highlightedIndex && 'bg-accent-soft',
                !fresh && 'text-soft',
              )}
            >
              {children(row)}
            </li>
          ))}
      </ul>
      {open && fresh && rows.length === 0 && (
        <p className="absolute z-40 mt-0.5 border border-strong bg-sheet px-2 py-1 text-sm text-soft">
          No match for “{asked}”. {query.data.hint}
        </p>
      )}
      {open && fresh && query.data.total > SHOWN && (
        <p className="sr-only">
          The first {SHOWN} of {query.data.total}; type more to narrow it down.
        </p>
      )}
      {note !== '' && (
        <p id={noteId} role="alert" className="mt-0.5 text-sm text-alarm">
          ▸ {note}
        </p>
      )}
    </div>
  );
}
