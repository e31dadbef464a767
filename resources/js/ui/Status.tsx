import clsx from 'clsx';
import { day } from '../lib/format';
import { states } from '../lib/words';

const forms: Record<string, { sign: string; look: string }> = {
  in_work: { sign: '□', look: 'text-warn' },
  in_review: { sign: '◪', look: 'text-plum' },
  coming: { sign: '◧', look: 'text-plum' },
  in_force: { sign: '■', look: 'text-accent' },
  superseded: { sign: '▤', look: 'text-soft' },
  obsolete: { sign: '✕', look: 'text-soft' },
};

interface Props {
  status: string;
  /** Numbers of the open orders that revise it now. */
  revisedBy?: string[];
  revision?: string | null;
  /** The next revision that is released and not in force yet. */
  coming?: { code: string; first_day: string } | null;
}

/** What an item or revision is on the day: a form, a word, what comes next, and whether it is being revised now. */
export function Status({ status, revisedBy = [], revision, coming = null }: Props) {
  const form = forms[status] ?? { sign: '□', look: 'text-ink' };
  return (
    <span className="inline-flex items-baseline gap-1.5 whitespace-nowrap">
      <span className={clsx('inline-flex items-baseline gap-1', form.look)}>
        <span aria-hidden="true" className="text-sm">
          {form.sign}
        </span>
        {revision != null && <b className="font-semibold">{revision}</b>}
        {states[status] ?? status}
        {status === 'coming' && coming !== null && ` ${day(coming.first_day)}`}
      </span>
      {status !== 'coming' && coming !== null && (
        <span className="text-sm text-plum">
          · {coming.code} from {day(coming.first_day)}
        </span>
      )}
      {revisedBy.length > 0 && <span className="text-sm text-warn">· being revised, {revisedBy.join(', ')}</span>}
    </span>
  );
}
