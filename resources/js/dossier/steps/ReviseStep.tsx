import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { api, told, type Schemas } from '../../lib/api';
import { queries } from '../../lib/queries';
import { useMe } from '../../lib/session';
import { touches } from '../../lib/touches';
import { useAct } from '../../lib/useAct';
import { Button } from '../../ui/Button';
import { Notice, ProblemNotice } from '../../ui/Notice';
import { Checks } from '../Checks';
import { Collided } from '../../orders/Collided';
import { Dependences } from '../../orders/Dependences';
import { PlantAccounts } from '../../manufacturing/PlantAccounts';
import { SubjectList } from '../../orders/SubjectList';
import { WithdrawOrder } from '../../orders/WithdrawOrder';

/** What plants build of the items on the order, and whether they have taken it over. */
function AtPlants({ order, version }: { order: string; version: number | undefined }) {
  const plants = useQuery(queries.orderAccountability(order));
  return plants.data && plants.data.length > 0 ? (
    <PlantAccounts order={order} rows={plants.data} version={version} />
  ) : null;
}

/** As high as what is pressed has to be, also where several stand below each other. */
const across = 'inline-flex min-h-6 items-center text-accent underline-offset-3 hover:underline';

/** The structures that open under the order, and what review asks for. */
export function ReviseStep({ dossier }: { dossier: Schemas['Dossier'] }) {
  const { order } = dossier;
  const me = useMe();
  const submit = useAct(touches.order, (version: number) =>
    told(
      api.POST('/api/orders/{number}/review', { params: { path: { number: order?.number ?? '' } }, body: { version } }),
    ),
  );
  if (order === null) return null;
  const revising = order.state === 'revising';
  const mine = revising && order.editor === me.login;
  const back = order.signatures[0]?.meaning === 'sent_back' ? order.signatures[0] : undefined;
  return (
    <div className="space-y-4">
      {revising && back && (
        <Notice>
          {back.person} sent it back: {back.reason}
        </Notice>
      )}
      <Collided collisions={dossier.collisions} />
      {order.is_open && <Dependences order={order.number} />}
      <SubjectList of={order.number} items={order.items} mine={mine} />
      <AtPlants order={order.number} version={order.may.includes('plan') ? order.version : undefined} />
      {order.state !== 'planning' && (
        <p className="flex flex-wrap gap-x-6">
          <Link to={`/orders/${order.number}/worksheet`} className={across}>
            Worksheet: all lines in one table
          </Link>
          {revising && (mine || order.may.includes('plan')) && (
            <Link to={`/orders/${order.number}/replace`} className={across}>
              Replace a component in all its parents
            </Link>
          )}
          {revising && (mine || order.may.includes('plan')) && (
            <Link to={`/orders/${order.number}/model`} className={across}>
              Take over a design model
            </Link>
          )}
          <Link to={`/orders/${order.number}/transfer`} className={across}>
            Carry over to siblings
          </Link>
        </p>
      )}
      {revising && (
        <>
          <Checks order={order} />
          <ProblemNotice problem={submit.error} />
          <div className="flex items-center gap-4">
            {order.may.includes('submit') && (
              <Button
                look="main"
                busy={submit.isPending}
                disabled={order.checks.some((check) => !check.met && !check.waived)}
                onClick={() => submit.mutate(order.version)}
              >
                Send to review
              </Button>
            )}
            {order.may.includes('plan') && <WithdrawOrder order={order} />}
            {!mine && <span className="text-soft">{order.editor_name} edits.</span>}
          </div>
        </>
      )}
    </div>
  );
}
