import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { NoticeOfOrder } from '../../changenotices/NoticeOfOrder';
import { api, told, type Schemas } from '../../lib/api';
import { day, moment } from '../../lib/format';
import { queries } from '../../lib/queries';
import { touches } from '../../lib/touches';
import { useAct } from '../../lib/useAct';
import { Button } from '../../ui/Button';
import { Notice, ProblemNotice } from '../../ui/Notice';
import { Checks } from '../Checks';

/** What release makes true, all or nothing; and afterwards what it made true. */
export function ReleaseStep({ dossier }: { dossier: Schemas['Dossier'] }) {
  const { order } = dossier;
  const [sure, setSure] = useState(false);
  const release = useAct(touches.order, (version: number) =>
    told(
      api.POST('/api/orders/{number}/release', {
        params: { path: { number: order?.number ?? '' } },
        body: { version },
      }),
    ),
  );
  const plants = useQuery({ ...queries.orderAccountability(order?.number ?? ''), enabled: order !== null });
  const data = useQuery({ ...queries.dataOfOrder(order?.number ?? ''), enabled: order !== null });
  if (order === null) return null;
  const built = plants.data?.filter(({ becomes }) => becomes !== null) ?? [];
  const revised = order.items.filter((row) => row.outcome === 'revise');
  if (order.released_at !== null) {
    return (
      <div className="space-y-1">
        <p>
          Released on {moment(order.released_at)}, effective from {day(order.effective_on)}:{' '}
          {[
            ...revised.map((row) => `${row.item.number} ${row.base ?? ''} → ${row.becomes ?? ''}`),
            ...built.map((row) => `${row.item} at ${row.plant} → ${row.becomes ?? ''}`),
            ...(data.data ?? []).map((row) => `data of ${row.item.number} → ${row.becomes ?? ''}`),
          ].join(', ')}
          .
        </p>
        <NoticeOfOrder order={order.number} />
      </div>
    );
  }
  const ready = order.checks.every((check) => check.met || check.waived);
  return (
    <div className="space-y-3">
      <div>
        <h3>On release</h3>
        <ul className="list-inside list-disc">
          {revised.map((row) => (
            <li key={row.item.number}>
              {row.item.number} {row.item.title}: revision {row.becomes} is released
              {row.base === null && ' for the first time'}, in force from {day(order.effective_on)}
              {row.base !== null && `; ${row.base} holds until then`}, {row.changes}{' '}
              {row.changes === 1 ? 'line differs' : 'lines differ'}
            </li>
          ))}
          {built.map((row) => (
            <li key={`${row.item} ${row.plant}`}>
              {row.item} {row.title} at {row.plant}: manufacturing revision {row.becomes} is released
              {row.built === null && ' for the first time'}
            </li>
          ))}
          {data.data?.map((row) => (
            <li key={`data ${row.item.number}`}>
              {row.item.number} {row.item.title}:{' '}
              {row.rows.some(({ field, mark }) => field === 'retired' && mark === 'added')
                ? `is retired, and its revision ends, on ${day(order.effective_on)}`
                : `data ${row.becomes ?? ''} hold from ${day(order.effective_on)}`}
            </li>
          ))}
          <li>a hand-over is written and sent to planning</li>
        </ul>
      </div>
      <Checks order={order} />
      <ProblemNotice problem={release.error} />
      {!order.may.includes('release') && <Notice>A coordinator releases it.</Notice>}
      {order.may.includes('release') && (
        <div className="flex items-center gap-3">
          {sure ? (
            <>
              <Button look="main" busy={release.isPending} onClick={() => release.mutate(order.version)}>
                Release (cannot be undone)
              </Button>
              <Button look="quiet" onClick={() => setSure(false)}>
                Cancel
              </Button>
              <span className="text-soft">A released revision never changes again.</span>
            </>
          ) : (
            <>
              <Button look="main" disabled={!ready} onClick={() => setSure(true)}>
                Release
              </Button>
              <Link to={`/orders/${order.number}/review`} className="text-accent hover:underline">
                Open the review page
              </Link>
            </>
          )}
        </div>
      )}
    </div>
  );
}
