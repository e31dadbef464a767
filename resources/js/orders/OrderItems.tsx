import { useState } from 'react';
import { api, told, type Schemas } from '../lib/api';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { useOrderVersion } from '../lib/useOrderVersion';
import { count } from '../lib/format';
import { dispositions, outcomes } from '../lib/words';
import { AddItems } from './AddItems';
import { ItemDrop } from './ItemDrop';
import { NewNumberForm, type AskedNumber } from './NewNumberForm';
import { NewNumbers } from './NewNumbers';
import { Button } from '../ui/Button';
import { DataTable, type Column } from '../ui/DataTable';
import { ItemPicker } from '../ui/ItemPicker';
import { ProblemNotice } from '../ui/Notice';
import { Select } from '../ui/Select';
import { Status } from '../ui/Status';
import { actsColumn, itemColumn } from '../ui/table/columns';

type OrderItem = Schemas['OrderItemData'];

const isNew = (row: OrderItem) => row.outcome === 'revise' && row.base === null;
const revisionOf = (row: OrderItem) => (isNew(row) ? 'first release' : row.base);
const stockOf = (row: OrderItem) => {
  if (isNew(row)) return 'none yet';
  if (row.disposition != null) return dispositions[row.disposition];
  return row.outcome === 'build' || row.outcome === 'data' ? 'stays what it is' : 'not decided';
};

/** What was released can be succeeded by another number: that is asked for, not only chosen. */
const outcomesOfReleased: Record<string, string> = { ...outcomes, number: 'New number …' };

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
    touches.order,
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
    touches.order,
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
  const many = useAct(
    touches.order,
    (set: { items: string[]; outcome?: Put['outcome']; disposition?: NonNullable<Put['disposition']> }) =>
      told(
        api.POST('/api/orders/{number}/items', {
          params: { path: { number: order.number } },
          body: { ...set, version: version() },
        }),
      ),
    undefined,
    order.number,
  );
  const takeOffMany = useAct(
    touches.order,
    (items: string[]) =>
      told(
        api.DELETE('/api/orders/{number}/items', {
          params: { path: { number: order.number } },
          body: { items, version: version() },
        }),
      ),
    undefined,
    order.number,
  );
  const [naming, setNaming] = useState<Schemas['ItemRow'] | null>(null);
  const give = useAct(
    touches.order,
    ({ item, ...asked }: AskedNumber & { item: string }) =>
      told(
        api.POST('/api/orders/{number}/items/{item}/new-number', {
          params: { path: { number: order.number, item } },
          body: { ...asked, version: version() },
        }),
      ),
    () => setNaming(null),
    order.number,
  );
  const takeBack = useAct(
    touches.order,
    (item: string) =>
      told(
        api.DELETE('/api/orders/{number}/new-numbers/{item}', {
          params: { path: { number: order.number, item } },
          body: { version: version() },
        }),
      ),
    undefined,
    order.number,
  );
  const change = (row: OrderItem, part: Partial<Put>) =>
    put.mutate({ item: row.item.number, outcome: row.outcome, disposition: row.disposition ?? null, ...part });

  const columns: Column<OrderItem>[] = [
    itemColumn(({ item }) => item),
    {
      id: 'status',
      head: 'Status',
      text: ({ item }) => item.status.replaceAll('_', ' '),
      cell: ({ item }) => (
        <Status
          status={item.status}
          coming={item.coming}
          revisedBy={item.being_revised_by.filter((number) => number !== order.number)}
        />
      ),
    },
    {
      id: 'outcome',
      head: 'Outcome',
      className: 'w-48',
      text: (row) => outcomes[row.outcome],
      cell: (row) =>
        editable ? (
          <Select<string>
            aria-label={`Outcome of ${row.item.number}`}
            value={row.outcome}
            disabled={put.isPending}
            onChange={(outcome) =>
              outcome === 'number' ? setNaming(row.item) : change(row, { outcome: outcome as Put['outcome'] })
            }
            options={row.item.revision === null || isNew(row) ? outcomes : outcomesOfReleased}
          />
        ) : (
          outcomes[row.outcome]
        ),
    },
    {
      id: 'revision',
      head: 'Revision',
      text: (row) => [revisionOf(row), row.becomes].filter(Boolean).join(' → '),
      className: 'whitespace-nowrap',
      cell: (row) => (
        <>
          {revisionOf(row)}
          {row.becomes !== null && (
            <>
              {' '}
              → <b className="font-semibold">{row.becomes}</b>
            </>
          )}
        </>
      ),
    },
    {
      id: 'stock',
      head: 'Existing stock',
      className: 'w-44',
      text: stockOf,
      cell: (row) =>
        editable && !isNew(row) && row.outcome !== 'build' ? (
          <Select
            aria-label={`Existing stock of ${row.item.number}`}
            value={row.disposition ?? ''}
            placeholder={row.outcome === 'data' ? 'Stays what it is' : 'Decision'}
            disabled={put.isPending}
            onChange={(disposition) => change(row, { disposition })}
            options={dispositions}
          />
        ) : (
          <span className={isNew(row) ? 'text-soft' : ''}>{stockOf(row)}</span>
        ),
    },
    ...(editable
      ? [
          actsColumn((row: OrderItem) => (
            <Button
              look="quiet"
              className="px-0"
              aria-label={`Remove ${row.item.number}`}
              onClick={() => takeOff.mutate(row.item.number)}
            >
              Remove
            </Button>
          )),
        ]
      : []),
  ];

  return (
    <div className="space-y-2">
      <ItemDrop onItems={editable ? (items) => many.mutate({ items }) : null}>
        <DataTable
          label="Items on the order"
          exportName={`items-of-${order.number}`}
          rows={order.items}
          columns={columns}
          keyOf={(row) => row.item.number}
          empty="No item is on the order. Add one below."
          {...(editable && order.items.length > 1
            ? {
                acts: (rows: OrderItem[], clear: () => void) => {
                  const items = rows.map((row) => row.item.number);
                  return (
                    <>
                      <span className="w-44">
                        <Select<Put['outcome']>
                          aria-label="Outcome of all selected"
                          value=""
                          placeholder="Set outcome"
                          onChange={(outcome) => many.mutate({ items, outcome })}
                          options={outcomes}
                        />
                      </span>
                      <span className="w-44">
                        <Select<NonNullable<Put['disposition']>>
                          aria-label="Existing stock of all selected"
                          value=""
                          placeholder="Set existing stock"
                          onChange={(disposition) => many.mutate({ items, disposition })}
                          options={dispositions}
                        />
                      </span>
                      <Button look="quiet" onClick={() => takeOffMany.mutate(items, { onSuccess: clear })}>
                        Remove {count(items.length)}
                      </Button>
                    </>
                  );
                },
                caption: `${count(order.items.length)} items`,
              }
            : {})}
        />
      </ItemDrop>
      <ProblemNotice problem={put.error ?? takeOff.error ?? takeOffMany.error ?? takeBack.error} />
      {naming !== null && (
        <NewNumberForm
          key={naming.number}
          item={naming}
          busy={give.isPending}
          problem={give.error}
          onGive={(asked) => give.mutate({ ...asked, item: naming.number })}
          onCancel={() => {
            give.reset();
            setNaming(null);
          }}
        />
      )}
      <NewNumbers
        order={order.number}
        open={order.state === 'revising'}
        {...(editable && { onTakeBack: (successor: string) => takeBack.mutate(successor) })}
      />
      {editable && (
        <ItemPicker
          className="w-80"
          label="Add an affected item"
          placeholder="Add an affected item"
          onPick={(item) => put.mutate({ item: item.number, outcome: 'revise', disposition: null })}
        />
      )}
      {editable && (
        <AddItems
          order={order.number}
          busy={many.isPending}
          problem={many.error}
          onAdd={(items) => many.mutateAsync({ items })}
        />
      )}
    </div>
  );
}
