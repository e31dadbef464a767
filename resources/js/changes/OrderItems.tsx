import { api, told, type Schemas } from '../lib/api';
import { useAct } from '../lib/useAct';
import { useOrderVersion } from '../lib/useOrderVersion';
import { dispositions, outcomes } from '../lib/words';
import { Button } from '../ui/Button';
import { ItemPicker } from '../ui/ItemPicker';
import { ItemNumber } from '../ui/Num';
import { ProblemNotice } from '../ui/Notice';
import { Select } from '../ui/Select';
import { Status } from '../ui/Status';

type OrderItem = Schemas['OrderItemData'];

interface Props {
  order: Schemas['OrderData'];
  editable: boolean;
}

interface Put {
  item: string;
  outcome: keyof typeof outcomes;
  disposition: keyof typeof dispositions | null;
}

/** The items an order names: what becomes of each, and of what exists of it. Each choice is saved at once. */
export function OrderItems({ order, editable }: Props) {
  const version = useOrderVersion(order);
  const put = useAct(
    ({ item, outcome, disposition }: Put) =>
      told(
        api.PUT('/api/orders/{number}/items/{item}', {
          params: { path: { number: order.number, item } },
          body: { outcome, disposition, version: version() },
        }),
      ),
    undefined,
    order.number,
  );
  const takeOff = useAct(
    (item: string) =>
      told(
        api.DELETE('/api/orders/{number}/items/{item}', {
          params: { path: { number: order.number, item } },
          body: { version: version() },
        }),
      ),
    undefined,
    order.number,
  );
  const change = (row: OrderItem, part: Partial<Put>) =>
    put.mutate({ item: row.item.number, outcome: row.outcome, disposition: row.disposition ?? null, ...part });

  return (
    <div className="space-y-2">
      <table aria-label="Items on the order" className="w-full border-collapse border-y border-strong bg-sheet">
        <thead>
          <tr className="border-b border-strong text-left text-sm text-soft">
            <th className="px-2 py-1 font-medium">Item</th>
            <th className="px-2 py-1 font-medium">Status</th>
            <th className="w-48 px-2 py-1 font-medium">What becomes of it</th>
            <th className="px-2 py-1 font-medium">Revision</th>
            <th className="w-44 px-2 py-1 font-medium">Existing stock</th>
            {editable && (
              <th className="px-2 py-1 font-medium">
                <span className="sr-only">Acts</span>
              </th>
            )}
          </tr>
        </thead>
        <tbody>
          {order.items.map((row) => (
            <tr key={row.item.number} className="border-b border-rule align-baseline last:border-b-0">
              <td className="px-2 py-1">
                <ItemNumber number={row.item.number} /> {row.item.title}
              </td>
              <td className="px-2 py-1">
                <Status
                  status={row.item.status}
                  revisedBy={row.item.being_revised_by.filter((number) => number !== order.number)}
                />
              </td>
              <td className="px-2 py-1">
                {editable ? (
                  <Select
                    aria-label={`What becomes of ${row.item.number}`}
                    value={row.outcome}
                    disabled={put.isPending}
                    onChange={(outcome) => change(row, { outcome })}
                    options={outcomes}
                  />
                ) : (
                  outcomes[row.outcome]
                )}
              </td>
              <td className="px-2 py-1 whitespace-nowrap">
                {row.outcome === 'revise' ? (row.base ?? 'first release') : row.base}
                {row.becomes !== null && (
                  <>
                    {' '}
                    → <b className="font-semibold">{row.becomes}</b>
                  </>
                )}
              </td>
              <td className="px-2 py-1">
                {row.outcome === 'revise' && row.base === null ? (
                  <span className="text-soft">nothing exists yet</span>
                ) : editable ? (
                  <Select
                    aria-label={`Existing stock of ${row.item.number}`}
                    value={row.disposition ?? ''}
                    placeholder="Decision"
                    disabled={put.isPending}
                    onChange={(disposition) => change(row, { disposition })}
                    options={dispositions}
                  />
                ) : row.disposition != null ? (
                  dispositions[row.disposition]
                ) : (
                  'not decided'
                )}
              </td>
              {editable && (
                <td className="px-2 py-1 text-right">
                  <Button
                    look="quiet"
                    className="px-0"
                    aria-label={`Remove ${row.item.number}`}
                    onClick={() => takeOff.mutate(row.item.number)}
                  >
                    Remove
                  </Button>
                </td>
              )}
            </tr>
          ))}
        </tbody>
      </table>
      <ProblemNotice problem={put.error ?? takeOff.error} />
      {editable && (
        <ItemPicker
          className="w-80"
          label="Add an affected item"
          placeholder="Add an affected item"
          onPick={(item) => put.mutate({ item: item.number, outcome: 'revise', disposition: null })}
        />
      )}
    </div>
  );
}
