import type { Schemas } from '../lib/api';
import { moment } from '../lib/format';

const acts = { sent_back: 'sent back', skipped: 'step skipped', reassigned: 'step reassigned' } as const;

interface Props {
  rows: Schemas['SignatureRow'][];
  /** Why a signature holds no longer. */
  voided: string;
}

/** All that was signed, sent back, skipped and reassigned on a path, newest first, also what is void. */
export function Signatures({ rows, voided }: Props) {
  const wordOf = ({ meaning, said, void: isVoid }: Schemas['SignatureRow']) => {
    if (meaning !== 'signed') return acts[meaning];
    return isVoid ? `signed, ${voided}` : said === 'approved' ? 'signed' : `signed: ${said}`;
  };
  if (rows.length === 0) return null;
  return (
    <ul aria-label="Signatures" className="border-y border-strong bg-sheet">
      {rows.map((signature) => (
        <li
          key={`${signature.signed_at} ${signature.person} ${signature.meaning}`}
          className="flex flex-wrap gap-x-3 border-t border-rule px-2 py-1 first:border-t-0"
        >
          <b
            className={
              signature.meaning === 'signed' && !signature.void
                ? 'font-semibold text-accent'
                : 'font-semibold text-warn'
            }
          >
            {wordOf(signature)}
          </b>
          <span>
            {signature.person}
            {signature.for !== null && ` for ${signature.for}`}
          </span>
          <span>{moment(signature.signed_at)}</span>
          <span className="grow">{signature.reason}</span>
          <span className="font-mono text-sm text-soft" title="What the signature covers">
            {signature.digest.slice(0, 12)}
          </span>
        </li>
      ))}
    </ul>
  );
}
