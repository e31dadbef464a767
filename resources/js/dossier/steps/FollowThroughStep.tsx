import { useState } from 'react';
import { Link } from 'react-router';
import { api, told, type Schemas } from '../../lib/api';
import { moment } from '../../lib/format';
import { useMay } from '../../lib/session';
import { touches } from '../../lib/touches';
import { useAct } from '../../lib/useAct';
import { ReleasePackages } from '../../packages/ReleasePackages';
import { HandoverView } from '../../releases/HandoverView';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { Input } from '../../ui/Input';
import { ProblemNotice } from '../../ui/Notice';

/** What planning took and refused, until all is taken and the order can be closed. */
export function FollowThroughStep({ dossier }: { dossier: Schemas['Dossier'] }) {
  const { order } = dossier;
  const mayWaive = useMay('waive_check');
  const [reason, setReason] = useState('');
  const close = useAct(touches.order, (version: number) =>
    told(
      api.POST('/api/orders/{number}/closing', {
        params: { path: { number: order?.number ?? '' } },
        body: { version, ...(reason !== '' && { reason }) },
      }),
    ),
  );
  if (order === null) return null;
  const taken = dossier.handovers.every((handover) => handover.state === 'taken');
  return (
    <div className="space-y-4">
      {dossier.handovers.map((handover) => (
        <HandoverView key={handover.name} handover={handover} />
      ))}
      {(order.state === 'released' || order.state === 'closed') && (
        <p>
          <Link to={`/orders/${order.number}/documents`} className="text-accent underline-offset-3 hover:underline">
            Open documents that name what this order replaced
          </Link>
          {' · '}
          <Link to={`/hand-overs?order=${order.number}`} className="text-accent underline-offset-3 hover:underline">
            Differences in planning&rsquo;s copy
          </Link>
        </p>
      )}
      {order.released_at !== null && <ReleasePackages order={order.number} />}
      {order.state === 'released' && order.may.includes('close') && (
        <div className="space-y-2">
          <ProblemNotice problem={close.error} shown={['reason']} />
          {close.error?.at('documents') !== undefined && mayWaive && (
            <Field
              label="Reason to close it all the same, on record"
              className="max-w-3xl"
              error={close.error.at('reason')}
            >
              <Input value={reason} onChange={(event) => setReason(event.target.value)} />
            </Field>
          )}
          <Button look="main" disabled={!taken} busy={close.isPending} onClick={() => close.mutate(order.version)}>
            Close the order
          </Button>
        </div>
      )}
      {order.closed_at !== null && <p>Closed on {moment(order.closed_at)}.</p>}
    </div>
  );
}
