import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, told, type Schemas } from '../lib/api';
import { day } from '../lib/format';
import { queries } from '../lib/queries';
import { useMay } from '../lib/session';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { Button } from '../ui/Button';
import { DataTable, type Column } from '../ui/DataTable';
import { ProblemNotice } from '../ui/Notice';
import { ChangeNumber } from '../ui/Num';
import { Select } from '../ui/Select';
import { itemColumn, tickColumn } from '../ui/table/columns';

type Use = Schemas['OlderUse'];
const keyOf = (use: Use) => `${use.item.number} ${use.line}`;
const points = (use: Use) =>
  use.what === 'line' ? `line ${use.find} names revision ${use.revision}` : `shows revision ${use.revision}`;

const useColumns: Column<Use>[] = [
  itemColumn(({ item }) => item),
  {
    id: 'points',
    head: 'Points to',
    text: points,
    cell: (use) => (
      <>
        {points(use)}
        {use.last_day !== null &&
          (use.ended ? (
            <b className="font-semibold text-warn"> ▲ ended</b>
          ) : (
            <span className="text-plum">, in force until {day(use.last_day)}</span>
          ))}
        {use.adopted_by !== null && ', adopted under '}
        {use.adopted_by !== null && <ChangeNumber number={use.adopted_by} />}
      </>
    ),
  },
];

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
  const adopt = useAct(touches.order, () =>
    told(
      api.POST('/api/orders/{number}/adoptions', {
        params: { path: { number: order } },
        body: { item: number, uses: chosen.map((use) => ({ item: use.item.number, line: use.line })) },
      }),
    ),
  );
  const columns: Column<Use>[] = [
    ...(mayPlan
      ? [
          tickColumn<Use>({
            head: 'Adopts',
            label: (use) => `${use.item.number} adopts ${page.newest}`,
            shown: (use) => use.adopted_by === null,
            checked: (use) => !left.includes(keyOf(use)),
            onTick: (use, on) => setLeft(on ? left.filter((one) => one !== keyOf(use)) : [...left, keyOf(use)]),
          }),
        ]
      : []),
    ...useColumns,
  ];
  return (
    <section aria-labelledby="older-uses">
      <h2 id="older-uses" className="mb-1">
        Not on revision {page.newest} yet, {page.uses.length}
      </h2>
      <DataTable
        label={`Not on revision ${page.newest} yet`}
        exportName="older-uses"
        rows={page.uses}
        columns={columns}
        keyOf={keyOf}
        rowHeight={48}
        empty=""
      />
      {mayPlan && open.length > 0 && (
        <div className="no-print mt-2 flex flex-wrap items-center gap-2 text-sm">
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
