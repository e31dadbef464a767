import { Link } from 'react-router';
import type { Schemas } from '../../lib/api';
import { moment } from '../../lib/format';
import { useMe } from '../../lib/session';

/** Who has signed or sent back, and the page on which to judge. */
export function SignStep({ dossier }: { dossier: Schemas['Dossier'] }) {
  const me = useMe();
  const { order } = dossier;
  if (order === null) return null;
  return (
    <div className="space-y-3">
      {order.state === 'in_review' && (
        <p>The order is locked until {order.signer_name} has signed it or sent it back.</p>
      )}
      <p>
        <Link to={`/orders/${order.number}/review`} className="text-accent underline-offset-3 hover:underline">
          {order.state === 'in_review' && order.signer === me.login
            ? 'Read and sign'
            : 'Before and after, and exposure, on one page'}
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
                {signature.meaning === 'signed'
                  ? signature.void
                    ? 'signed, void since it was sent back'
                    : 'signed'
                  : 'sent back'}
              </b>
              <span>{signature.person}</span>
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
