import { useQueries } from '@tanstack/react-query';
import { Link } from 'react-router';
import { ChosenDay } from '../cutin/ChosenDay';
import type { Schemas } from '../lib/api';
import { queries } from '../lib/queries';
import { useMay } from '../lib/session';
import { CutInTasks } from './CutInTasks';

/** The cut-in days that were chosen for the requests of an order, with what has to be done by when. */
export function CutInOfRequests({
  requests,
  order,
}: {
  requests: Schemas['RequestData'][];
  order: Schemas['OrderData'];
}) {
  const manages = useMay('manage_tasks') && order.state !== 'closed' && order.state !== 'withdrawn';
  const asked = useQueries({ queries: requests.map(({ number }) => queries.cutIns(number)) });
  const chosen = requests.flatMap(({ number }, at) => {
    const last = asked[at]?.data?.[0];
    return last === undefined ? [] : [{ number, last }];
  });
  if (chosen.length === 0) return null;
  return (
    <section aria-labelledby="cut-in-of-requests" className="space-y-2">
      <h3 id="cut-in-of-requests">Cut-in</h3>
      {chosen.map(({ number, last }) => (
        <div key={number} className="space-x-3 border-y border-rule py-1">
          <ChosenDay number={number} chosen={last} open />
          {manages && last.to_do.length > 0 && <CutInTasks change={order.number} chosen={last} />}
          <Link to={`/changes/${number}/cut-in`} className="no-print whitespace-nowrap text-accent underline">
            The cut-in plan of {number}
          </Link>
        </div>
      ))}
    </section>
  );
}
