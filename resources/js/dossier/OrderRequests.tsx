import { api, told, type Schemas } from '../lib/api';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { useOrderVersion } from '../lib/useOrderVersion';
import { Button } from '../ui/Button';
import { ChangePicker } from '../ui/ChangePicker';
import { ProblemNotice } from '../ui/Notice';
import { ChangeNumber } from '../ui/Num';

interface Props {
  order: Schemas['OrderData'];
  requests: Schemas['RequestData'][];
}

/** The requests of an order that is still being planned: approved ones are added with all they say, or taken out again. */
export function OrderRequests({ order, requests }: Props) {
  const version = useOrderVersion(order);
  const touched = [...touches.order, ...touches.request];
  const path = (request: string) => ({ path: { number: order.number, request } });
  const add = useAct(
    touched,
    (request: string) =>
      told(api.PUT('/api/orders/{number}/requests/{request}', { params: path(request), body: { version: version() } })),
    undefined,
    order.number,
  );
  const takeOut = useAct(
    touched,
    (request: string) =>
      told(
        api.DELETE('/api/orders/{number}/requests/{request}', { params: path(request), body: { version: version() } }),
      ),
    undefined,
    order.number,
  );
  return (
    <section aria-label="Requests on the order" className="max-w-4xl space-y-1">
      <h3>Requests</h3>
      {requests.length > 0 && (
        <ul className="border-y border-rule bg-sheet">
          {requests.map(({ number, title }) => (
            <li key={number} className="flex items-center gap-3 border-t border-rule px-2 py-0.5 first:border-t-0">
              <ChangeNumber number={number} />
              <span className="grow truncate">{title}</span>
              <Button
                look="quiet"
                aria-label={`Take out ${number}`}
                busy={takeOut.isPending}
                onClick={() => takeOut.mutate(number)}
              >
                Take out
              </Button>
            </li>
          ))}
        </ul>
      )}
      <ChangePicker
        className="w-96"
        label="Add an approved request"
        placeholder="Add an approved request"
        types={['request']}
        fits={(one) => one.state === 'approved'}
        onPick={(one) => add.mutate(one.number)}
      />
      <ProblemNotice problem={add.error ?? takeOut.error} />
    </section>
  );
}
