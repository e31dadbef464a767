import clsx from 'clsx';
import { states } from '../lib/words';

const forms: Record<string, { sign: string; look: string }> = {
  in_work: { sign: '□', look: 'text-warn' },
  in_review: { sign: '◪', look: 'text-plum' },
  released: { sign: '■', look: 'text-accent' },
  superseded: { sign: '▤', look: 'text-soft' },
  obsolete: { sign: '✕', look: 'text-soft' },
};

interface Props {
  status: string;
  /** Numbers of the open orders that revise it now. */
  revisedBy?: string[];
  revision?: string | null;
}

/** The status of an item or revision: a form, a word, and whether it is being revised now. */
export function Status({ status, revisedBy = [], revision }: Props) {
  const form = forms[status] ?? { sign: '□', look: 'text-ink' };
  return (
    <span className="inline-flex items-baseline gap-1.5 whitespace-nowrap">
      <span className={clsx('inline-flex items-baseline gap-1', form.look)}>
        <span aria-hidden="true" className="text-sm">
          {form.sign}
        </span>
        {revision != null && <b className="font-semibold">{revision}</b>}
        {states[status] ?? status}
      </span>
      {revisedBy.length > 0 && <span className="text-sm text-warn">· being revised, {revisedBy.join(', ')}</span>}
    </span>
  );
}
