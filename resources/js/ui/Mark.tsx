import clsx from 'clsx';
import { marks } from '../lib/words';

const looks: Record<keyof typeof marks, string> = {
  added: 'text-accent',
  removed: 'text-alarm',
  replaced: 'text-plum',
  changed: 'text-warn',
  renumbered: 'text-soft',
  moved: 'text-accent',
  unchanged: '',
};

/** The sign of a difference; its form stands in the margin of the row (mark-added and so on). */
export function Mark({ value, word = false }: { value: keyof typeof marks; word?: boolean }) {
  // Of no place of its own, as the words below have: there is one in each of thousands of rows (decision 0050).
  if (value === 'unchanged') return <span role="img" aria-label="unchanged" />;
  return (
    <span className={clsx('inline-flex items-baseline gap-1 font-semibold whitespace-nowrap', looks[value])}>
      <span aria-hidden="true" className="inline-block w-3 text-center">
        {marks[value].sign}
      </span>
      <span className={word ? '' : 'sr-only'}>{marks[value].word}</span>
    </span>
  );
}
