import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, told, type Schemas } from '../lib/api';
import { queries } from '../lib/queries';
import { useMay } from '../lib/session';
import { useAct } from '../lib/useAct';
import { Button } from '../ui/Button';
import { ProblemNotice } from '../ui/Notice';
import { ChangeNumber, ItemNumber } from '../ui/Num';
import { Select } from '../ui/Select';

type Use = Schemas['OlderUse'];
const keyOf = (use: Use) => `${use.item.number} ${use.line}`;

/** Parents and documents that still point to an older revision; some or all adopt the newest under an order. */
export function OlderUses({ number }: { number: string }) {
  const older = useQuery(queries.olderUses(number));
  return older.data && older.data.uses.length > 0 ? <UseList number={number} page={older.data} /> : null;
}

function UseList({ number, page }: { number: string; page: Schemas['OlderUses'] }) {
  const mayPlan = useMay('plan_order');
  const open = page.uses.filter((use) => use.adopted_by === null);
  const [left, setLeft] = useState<string[]>([]);
  const [order, setOrder] = useState('');
  const chosen = open.filter((use) => !left.includes(keyOf(use)));
  const adopt = useAct(() =>
    told(
      api.POST('/api/orders/{number}/adoptions', {
        params: { path: { number: order } },
        body: { item: number, uses: chosen.map((use) => ({ item: use.item.number, line: use.line })) },
      }),
    ),
  );
  return (
    <section aria-labelledby="older-uses">
      <h2 id="older-uses" className="mb-1">
        Still on an older revision, {page.uses.length}
      </h2>
      <table
        aria-label="Still on an older revision"
        className="w-full border-collapse border-y border-strong bg-sheet text-sm"
      >
        <tbody>
          {page.uses.map((use) => (
            <tr key={keyOf(use)} className="border-b border-rule align-baseline last:border-b-0">
              {mayPlan && (
                <td className="w-8 px-2 py-1">
                  {use.adopted_by === null && (
                    <input
                      type="checkbox"
                      aria-label={`${use.item.number} adopts ${page.newest}`}
                      checked={!left.includes(keyOf(use))}
                      onChange={(event) =>
                        setLeft(event.target.checked ? left.filter((one) => one !== keyOf(use)) : [...left, keyOf(use)])
                      }
                    />
                  )}
                </td>
              )}
              <td className="px-2 py-1">
                <ItemNumber number={use.item.number} /> {use.item.title}
                <span className="block text-soft">
                  {use.what === 'line'
                    ? `line ${use.find} names revision ${use.revision}`
                    : `shows revision ${use.revision}`}
                  {use.adopted_by !== null && ', seen to under '}
                  {use.adopted_by !== null && <ChangeNumber number={use.adopted_by} />}
                </span>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {mayPlan && open.length > 0 && (
        <div className="mt-2 flex flex-wrap items-center gap-2 text-sm">
          {page.orders.length === 0 ? (
            <span className="text-soft">
              No order is open for revision, under which they could adopt {page.newest}.
            </span>
          ) : (
            <>
              <Select
                aria-label="Under the order"
                className="!w-64"
                placeholder="Under the order"
                value={order}
                onChange={setOrder}
                options={Object.fromEntries(page.orders.map((one) => [one.number, `${one.number} ${one.title}`]))}
              />
              <Button
                look="main"
                busy={adopt.isPending}
                disabled={order === '' || chosen.length === 0}
                onClick={() => adopt.mutate(undefined)}
              >
                Adopt {page.newest} in {chosen.length}
              </Button>
            </>
          )}
          <ProblemNotice problem={adopt.error} />
        </div>
      )}
    </section>
  );
}
