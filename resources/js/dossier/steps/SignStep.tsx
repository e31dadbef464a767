import { Link } from 'react-router';
import type { Schemas } from '../../lib/api';
import { useMay } from '../../lib/session';
import { PathPicture } from '../../paths/PathPicture';
import { Signatures } from '../../paths/Signatures';
import { SteerPath } from '../../paths/SteerPath';

/** Who has signed or sent back, and the page on which to judge. */
export function SignStep({ dossier }: { dossier: Schemas['Dossier'] }) {
  const steers = useMay('set_up');
  const { order } = dossier;
  if (order === null) return null;
  return (
    <div className="space-y-3">
      {order.state === 'in_review' && <p>The order is locked until it is signed or sent back.</p>}
      <PathPicture path={order.path} />
      {order.state === 'in_review' && steers && <SteerPath number={order.number} path={order.path} />}
      <p>
        <Link to={`/orders/${order.number}/review`} className="text-accent underline-offset-3 hover:underline">
          {order.path.signable.length > 0 ? 'Read and sign' : 'Before and after, and exposure, on one page'}
        </Link>
      </p>
      <Signatures rows={order.signatures} voided="void since it was sent back" />
    </div>
  );
}
