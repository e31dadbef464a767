import { Link, useNavigate } from 'react-router';
import { api, told, type Schemas } from '../../lib/api';
import { useMay } from '../../lib/session';
import { touches } from '../../lib/touches';
import { useAct } from '../../lib/useAct';
import { References } from '../../attachments/References';
import { Button } from '../../ui/Button';
import { Notice, ProblemNotice } from '../../ui/Notice';
import { Belongings } from '../../orders/Belongings';
import { DoneTexts } from '../../orders/DoneTexts';
import { OrderItems } from '../../orders/OrderItems';
import { OrderPlan } from '../../orders/OrderPlan';
import { Subordination } from '../../orders/Subordination';
import { written } from '../../orders/transfer/ways';
import { CutInOfRequests } from '../CutInOfRequests';
import { OrderRequests } from '../OrderRequests';
import { WithdrawOrder } from '../../orders/WithdrawOrder';

/** What the order names: items, disposition, date, who edits and who signs. */
export function OrderStep({ dossier }: { dossier: Schemas['Dossier'] }) {
  const { order } = dossier;
  return order === null ? (
    <RaiseOrder request={dossier.requests[0]} />
  ) : (
    <Planned order={order} requests={dossier.requests} proposals={dossier.proposals} />
  );
}

function RaiseOrder({ request }: { request: Schemas['RequestData'] | undefined }) {
  const mayRaise = useMay('raise_order');
  const navigate = useNavigate();
  const raise = useAct(
    touches.order,
    (number: string) => told(api.POST('/api/requests/{number}/order', { params: { path: { number } } })),
    ({ number }) => void navigate(`/changes/${number}`),
  );
  if (request?.state !== 'approved') return null;
  if (!mayRaise) return <Notice>A coordinator turns it into an order.</Notice>;
  return (
    <div className="space-y-2">
      <p>Title, description, finding and affected items are carried over; nothing is typed again.</p>
      <ProblemNotice problem={raise.error} />
      <div className="flex items-center gap-4">
        <Button look="main" busy={raise.isPending} onClick={() => raise.mutate(request.number)}>
          Turn into an order
        </Button>
        <Link to={`/orders/new?requests=${request.number}`} className="text-accent underline-offset-3 hover:underline">
          Order with other requests
        </Link>
      </div>
    </div>
  );
}

interface Props {
  order: Schemas['OrderData'];
  requests: Schemas['RequestData'][];
  proposals: Schemas['Proposal'][];
}

/** What two requests propose for one structure goes into the order from the first; the rest of the second is carried over by hand. */
function LeftOut({ order, proposal }: { order: Schemas['OrderData']; proposal: Schemas['Proposal'] }) {
  const ways = proposal.left_out.map((subject) => ({ source: subject, target: subject }));
  return ways.length === 0 ? null : (
    <Notice>
      {proposal.request} proposes {proposal.left_out.join(', ')} too, and a request before it did: its lines are not in
      this order.{' '}
      {order.state === 'revising' ? (
        <Link
          to={`/orders/${proposal.request}/transfer?${new URLSearchParams({ into: order.number, to: written(ways) }).toString()}`}
          className="underline"
        >
          Carry them over, line by line
        </Link>
      ) : (
        order.state === 'planning' && 'Once the order is open for revision, they are carried over line by line.'
      )}
    </Notice>
  );
}

function Planned({ order, requests, proposals }: Props) {
  const mayPlan = order.may.includes('plan');
  const editable = mayPlan && (order.state === 'planning' || order.state === 'revising');
  const mayEdit = order.may.includes('revise') && order.state === 'revising';
  const open = useAct(touches.order, () =>
    told(
      api.POST('/api/orders/{number}/opening', {
        params: { path: { number: order.number } },
        body: { version: order.version },
      }),
    ),
  );
  const ready = order.checks.every((check) => check.met || check.waived);
  return (
    <div className="space-y-4">
      <OrderPlan key={order.version} order={order} editable={editable} />
      {proposals.map((proposal) => (
        <LeftOut key={proposal.request} order={order} proposal={proposal} />
      ))}
      {order.state === 'planning' && mayPlan && <OrderRequests order={order} requests={requests} />}
      <Subordination order={order} editable={editable} />
      <OrderItems order={order} editable={editable} />
      <DoneTexts key={`done ${order.version}`} order={order} editable={editable || mayEdit} />
      <Belongings order={order} editable={editable} />
      <CutInOfRequests requests={requests} order={order} />
      <References of={order.number} />
      {order.state === 'planning' && mayPlan && (
        <div className="space-y-2">
          <ProblemNotice problem={open.error} />
          <div className="flex items-center gap-4">
            <Button look="main" busy={open.isPending} disabled={!ready} onClick={() => open.mutate(undefined)}>
              Open for revision
            </Button>
            <WithdrawOrder order={order} />
          </div>
        </div>
      )}
    </div>
  );
}
