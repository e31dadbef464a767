import { useState } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../lib/api';
import { count, day } from '../lib/format';
import { Button } from '../ui/Button';
import { DataTable, type Column } from '../ui/DataTable';
import { ChangeNumber, ItemNumber } from '../ui/Num';
import { actsColumn } from '../ui/table/columns';
import { FollowLater } from './FollowLater';

type Row = Schemas['PlantAccount'];

const columns = (order: string): Column<Row>[] => [
  { id: 'item', head: 'Item', text: ({ item }) => item, cell: ({ item }) => <ItemNumber number={item} /> },
  { id: 'title', head: 'Title', text: ({ title }) => title, cell: ({ title }) => title },
  { id: 'plant', head: 'Plant', text: ({ plant }) => plant, cell: ({ plant }) => plant },
  {
    id: 'built',
    head: 'Builds it by',
    text: ({ built, becomes }) => [built ?? '', ...(becomes === null ? [] : [becomes])].join(' → '),
    cell: ({ built, becomes }) => (
      <>
        {built ?? 'not yet'}
        {becomes !== null && becomes !== built && (
          <>
            {' '}
            → <b className="font-semibold">{becomes}</b>
          </>
        )}
      </>
    ),
  },
  {
    id: 'edits',
    head: 'Changes',
    text: ({ edits }) => edits.join('; '),
    cell: ({ item, plant, edits }) => (
      <>
        {edits.length === 0 ? 'nothing' : edits.join('; ')}{' '}
        <Link
          to={`/orders/${order}/build/${item}/${encodeURIComponent(plant)}`}
          aria-label={`Operations and lines of ${item} at ${plant}`}
          className="py-[2.5px] text-accent underline underline-offset-3"
        >
          Operations and lines
        </Link>
      </>
    ),
  },
  {
    id: 'open',
    head: 'Accountability',
    text: ({ open, lines }) => `${open} of ${lines}`,
    sort: ({ open }) => open,
    cell: ({ item, plant, open, lines }) => (
      <Link
        to={`/items/${item}?kind=manufacturing&plant=${encodeURIComponent(plant)}&view=accounted&order=${order}`}
        className="py-[2.5px] text-accent hover:underline"
      >
        {open === 0 ? `■ complete, ${count(lines)} lines` : `▲ ${count(open)} of ${count(lines)} lines open`}
      </Link>
    ),
  },
];

const laterColumn: Column<Row> = {
  id: 'later',
  head: 'Follows later',
  text: ({ later }) => (later ? `${later.order} by ${later.by}: ${later.reason}` : ''),
  cell: ({ later }) =>
    later && (
      <>
        <ChangeNumber number={later.order} /> by {day(later.by)}: {later.reason}
      </>
    ),
};

interface Props {
  order: string;
  rows: Row[];
  /** Where it can be decided that a plant follows later: the order as it is on screen. */
  version?: number | undefined;
}

/** The plants that build what an order changes, and what each would still have to take over. */
export function PlantAccounts({ order, rows, version }: Props) {
  const [deciding, setDeciding] = useState<string | null>(null);
  const keyOf = ({ item, plant }: Row) => `${item} ${plant}`;
  const row = rows.find((one) => keyOf(one) === deciding);
  return (
    <>
      <DataTable
        label={`Plants that build what ${order} changes`}
        exportName={`${order}-accountability`}
        rows={rows}
        keyOf={keyOf}
        columns={[
          ...columns(order),
          ...(rows.some(({ later }) => later) ? [laterColumn] : []),
          ...(version === undefined
            ? []
            : [
                actsColumn((one: Row) =>
                  one.open === 0 && !one.later ? null : (
                    <Button
                      look="quiet"
                      className="!h-6"
                      aria-label={`${one.item} at ${one.plant} follows later …`}
                      onClick={() => setDeciding(keyOf(one))}
                    >
                      Later …
                    </Button>
                  ),
                ),
              ]),
        ]}
        rowHeight={null}
        empty="No plant builds what this order changes."
      />
      {row && version !== undefined && (
        <FollowLater key={deciding} order={order} version={version} row={row} onDone={() => setDeciding(null)} />
      )}
    </>
  );
}
