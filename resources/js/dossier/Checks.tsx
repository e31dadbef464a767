import type { Schemas } from '../lib/api';
import { useMay } from '../lib/session';
import { WaiveCheck } from '../orders/WaiveCheck';
import { WithdrawWaiver } from '../orders/WithdrawWaiver';
import { NewTask } from '../tasks/NewTask';

/** Conditions for the next step: each holds, or why not, or who has let it go. What does not hold can be made somebody's task. */
export function Checks({ order }: { order: Schemas['OrderData'] }) {
  const manages = useMay('manage_tasks');
  return (
    <ul aria-label="Required for the next step" className="max-w-3xl">
      {order.checks.map((check) => {
        const waiver = check.waived ? order.waivers.find((one) => one.check === check.waivable) : undefined;
        return (
          <li key={check.name} className="flex gap-2">
            <span aria-hidden="true" className={check.met ? 'text-accent' : check.waived ? 'text-soft' : 'text-warn'}>
              {check.met ? '■' : check.waived ? '▣' : '□'}
            </span>
            <span className="min-w-0 flex-1">
              <span className="sr-only">{check.met ? 'holds: ' : check.waived ? 'waived: ' : 'missing: '}</span>
              {check.name}
              {!check.met && <span className={check.waived ? 'text-soft' : 'text-warn'}> · {check.reason}</span>}
              {waiver && (
                <>
                  {' '}
                  Waived by {waiver.by}: {waiver.reason}{' '}
                  {order.may_waive && <WithdrawWaiver order={order} check={check.waivable} />}
                </>
              )}
              {!check.met && !check.waived && check.waivable !== '' && order.may_waive && (
                <WaiveCheck order={order} check={check} />
              )}
              {!check.met && !check.waived && manages && check.place !== 'tasks' && (
                <NewTask
                  change={order.number}
                  others={[]}
                  editable={[]}
                  mayWait={[]}
                  about={{ title: check.name, text: check.reason }}
                />
              )}
            </span>
          </li>
        );
      })}
    </ul>
  );
}
