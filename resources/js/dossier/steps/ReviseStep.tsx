import { useQuery } from '@tanstack/react-query';
import clsx from 'clsx';
import { Link } from 'react-router';
import { api, told, type Schemas } from '../../lib/api';
import { queries } from '../../lib/queries';
import { useMe } from '../../lib/session';
import { touches } from '../../lib/touches';
import { useAct } from '../../lib/useAct';
import { outcomes } from '../../lib/words';
import { Button } from '../../ui/Button';
import { ItemNumber } from '../../ui/Num';
import { Notice, ProblemNotice } from '../../ui/Notice';
import { Checks } from '../Checks';
import { Collided } from '../../orders/Collided';
import { Dependences } from '../../orders/Dependences';
import { PlantAccounts } from '../../manufacturing/PlantAccounts';
import { WithdrawOrder } from '../../orders/WithdrawOrder';

/** What plants build of the items on the order, and whether they have taken it over. */
function AtPlants({ order, version }: { order: string; version: number | undefined }) {
  const plants = useQuery(queries.orderAccountability(order));
  return plants.data && plants.data.length > 0 ? (
    <PlantAccounts order={order} rows={plants.data} version={version} />
  ) : null;
}

const link = 'w-36 text-right text-accent underline-offset-3 hover:underline';

const across = 'text-accent underline-offset-3 hover:underline';

/** The structures that open under the order, and what review asks for. */
export function ReviseStep({ dossier }: { dossier: Schemas['Dossier'] }) {
  const { order } = dossier;
  const me = useMe();
  const submit = useAct(touches.order, (version: number) =>
    told(
      api.POST('/api/orders/{number}/review', { params: { path: { number: order?.number ?? '' } }, body: { version } }),
    ),
  );
  const data = useQuery({ ...queries.dataOfOrder(order?.number ?? ''), enabled: order !== null });
  if (order === null) return null;
  const fieldsOf = (item: string) => {
    const rows = data.data?.find((one) => one.item.number === item)?.rows ?? [];
    const differ = rows.filter(({ mark }) => mark !== 'unchanged').length;
    return differ === 0 ? 'unchanged' : `${differ} ${differ === 1 ? 'field differs' : 'fields differ'}`;
  };
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
      <ul className="border-y border-strong bg-sheet">
        {order.items
          .filter((row) => row.outcome !== 'keep')
          .map((row) => (
            <li
              key={row.item.number}
              className="flex items-center gap-3 border-t border-rule px-2 py-1 first:border-t-0"
            >
              <ItemNumber number={row.item.number} />
              <span className="grow">{row.item.title}</span>
              {row.outcome === 'revise' ? (
                <>
                  <span>
                    {row.base ?? 'first release'} → <b className="font-semibold">{row.becomes ?? '?'}</b>
                  </span>
                  <span className="w-32 text-right text-soft">
                    {row.changes === 1 ? '1 line differs' : `${row.changes} lines differ`}
                  </span>
                  <Link to={`/orders/${order.number}/revise/${row.item.number}`} className={link}>
                    {mine ? 'Revise' : 'Before and after'}
                  </Link>
                </>
              ) : (
                <span className="text-soft">{outcomes[row.outcome]}</span>
              )}
              <Link
                to={`/orders/${order.number}/data/${row.item.number}`}
                aria-label={`Item data, ${fieldsOf(row.item.number)}, of ${row.item.number}`}
                className={clsx(link, '!w-48')}
              >
                Item data, {fieldsOf(row.item.number)}
              </Link>
            </li>
          ))}
      </ul>
      <AtPlants order={order.number} version={order.may.includes('plan') ? order.version : undefined} />
      {order.state !== 'planning' && (
        <p className="flex gap-6">
          <Link to={`/orders/${order.number}/worksheet`} className={across}>
            Worksheet: all lines in one table
          </Link>
          {revising && (mine || order.may.includes('plan')) && (
            <Link to={`/orders/${order.number}/replace`} className={across}>
              Replace a component in all its parents
            </Link>
          )}
          <Link to={`/orders/${order.number}/transfer`} className={across}>
            Carry over to siblings
          </Link>
        </p>
      )}
      {revising && (
        <>
          <Checks checks={order.checks} />
          <ProblemNotice problem={submit.error} />
          <div className="flex items-center gap-4">
            {order.may.includes('submit') && (
              <Button
                look="main"
                busy={submit.isPending}
                disabled={order.checks.some((check) => !check.met)}
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
