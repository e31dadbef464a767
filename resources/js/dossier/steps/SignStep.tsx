import { Link } from 'react-router';
import type { Schemas } from '../../lib/api';
import { moment } from '../../lib/format';
import { useMay } from '../../lib/session';
import { PathPicture } from '../../orders/path/PathPicture';
import { SteerPath } from '../../orders/path/SteerPath';

const acts = { sent_back: 'sent back', skipped: 'step skipped', reassigned: 'step reassigned' } as const;

function wordOf({ meaning, said, void: isVoid }: Schemas['SignatureRow']): string {
  if (meaning !== 'signed') return acts[meaning];
  return isVoid ? 'signed, void since it was sent back' : said === 'approved' ? 'signed' : `signed: ${said}`;
}

/** Who has signed or sent back, and the page on which to judge. */
export function SignStep({ dossier }: { dossier: Schemas['Dossier'] }) {
  const steers = useMay('set_up');
  const { order } = dossier;
  if (order === null) return null;
  return (
    <div className="space-y-3">
      {order.state === 'in_review' && <p>The order is locked until it is signed or sent back.</p>}
      <PathPicture path={order.path} />
      {order.state === 'in_review' && steers && <SteerPath order={order} />}
      <p>
        <Link to={`/orders/${order.number}/review`} className="text-accent underline-offset-3 hover:underline">
          {order.path.signable.length > 0 ? 'Read and sign' : 'Before and after, and exposure, on one page'}
        </Link>
      </p>
      {order.signatures.length > 0 && (
        <ul aria-label="Signatures" className="border-y border-strong bg-sheet">
          {order.signatures.map((signature) => (
            <li
              key={signature.signed_at}
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
      )}
    </div>
  );
}
