import { api, told, type Schemas } from '../lib/api';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { Button } from '../ui/Button';
import { ProblemNotice } from '../ui/Notice';

/** Lets a check count again that somebody had let go. */
export function WithdrawWaiver({ order, check }: { order: Schemas['OrderData']; check: string }) {
  const withdraw = useAct(touches.order, () =>
    told(
      api.DELETE('/api/orders/{number}/waivers/{check}', {
        params: { path: { number: order.number, check } },
        body: { version: order.version },
      }),
    ),
  );
  return (
    <>
      <Button
        look="quiet"
        className="no-print !h-6 !px-1"
        busy={withdraw.isPending}
        onClick={() => withdraw.mutate(undefined)}
      >
        Withdraw waiver
      </Button>
      <ProblemNotice problem={withdraw.error} />
    </>
  );
}
