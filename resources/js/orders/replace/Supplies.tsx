import { useQuery } from '@tanstack/react-query';
import type { Schemas } from '../../lib/api';
import { count, quantity } from '../../lib/format';
import { queries } from '../../lib/queries';
import { supplyKinds } from '../../lib/words';

interface Props {
  page: Schemas['ReplacementPage'];
}

/** What planning has of what goes and of what comes, and how long the new takes to get: whether there will be enough of it. */
export function Supplies({ page }: Props) {
  const all = [page.old, ...page.new];
  const exposure = useQuery(queries.exposure(all.map(({ item }) => item.number)));
  return (
    <dl className="mb-3 grid grid-cols-[auto_1fr] gap-x-4 text-sm" aria-label="Supply">
      {all.map(({ item, lead_time: lead }, at) => {
        const told = exposure.data?.items.find((one) => one.item === item.number);
        const totals = (told?.totals ?? []).map(
          (total) => `${supplyKinds[total.kind]} ${quantity(total.quantity)} ${total.unit}`,
        );
        return (
          <div key={item.number} className="col-span-2 grid grid-cols-subgrid">
            <dt className="font-mono">
              {at === 0 ? '−' : '+'} {item.number}
            </dt>
            <dd>
              {told === undefined
                ? exposure.isError
                  ? 'Planning does not answer'
                  : 'Asking planning'
                : !told.known
                  ? 'Not in planning: it is introduced with the release'
                  : totals.length === 0
                    ? 'No stock, nothing on order'
                    : totals.join(', ')}
              {at > 0 && (
                <span className="ml-3">
                  {lead === null ? '△ Lead time not known' : `Lead time ${count(lead)} working days`}
                </span>
              )}
            </dd>
          </div>
        );
      })}
    </dl>
  );
}
