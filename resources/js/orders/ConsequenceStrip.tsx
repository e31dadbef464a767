import { useQuery } from '@tanstack/react-query';
import clsx from 'clsx';
import { useState, type ReactNode } from 'react';
import type { Schemas } from '../lib/api';
import { amount, signed, signedMinutes } from '../lib/format';
import { queries } from '../lib/queries';
import { useMay } from '../lib/session';
import { inMoney } from '../lib/settings';
import { states } from '../lib/words';
import { AtWork } from './AtWork';
import { BuiltProducts, hardest } from './BuiltProducts';
import { PlantAccounts } from '../manufacturing/PlantAccounts';
import { Introduce } from '../planning/Introduce';
import { DataTable, type Column } from '../ui/DataTable';
import { Foot } from '../ui/Foot';
import { ChangeNumber, ItemNumber } from '../ui/Num';

/** Always in sight while an order is open: what its edits mean. Each figure opens into its rows. */
export function ConsequenceStrip({ order }: { order: string }) {
  const [open, setOpen] = useState<string | null>(null);
  const { data } = useQuery(queries.consequences(order));
  const plants = useQuery(queries.orderAccountability(order));
  const exposure = useQuery(queries.exposure([...new Set([...(data?.affected ?? []), ...(data?.coming ?? [])])]));
  const maySend = useMay('send_handover');
  if (!data) return null;
  const documents = exposure.data?.items
    .filter(({ item }) => data.affected.includes(item))
    .flatMap((item) => item.rows.filter((row) => row.kind !== 'stock').map((row) => ({ item: item.item, row })));
  const lacking = exposure.data?.items.filter(({ known }) => !known).map(({ item }) => item) ?? [];
  const missing = data.checks.filter((check) => !check.met && !check.waived);
  const toTakeOver = plants.data?.reduce((sum, { open: lines }) => sum + lines, 0);
  const worst = data.products.find((product) => signed(product.difference) !== '±0.00');

  const figures: { id: string; figure: ReactNode; label: string; look?: string; rows: ReactNode }[] = [
    {
      id: 'lines',
      figure: data.lines,
      label: data.lines === 1 ? 'line differs' : 'lines differ',
      rows: (
        <p>
          {data.lines === 0 ? 'No edits yet.' : 'They are marked on the structure of each item, at the step Revise.'}
        </p>
      ),
    },
    {
      id: 'above',
      figure: data.items_above.length,
      label: 'parent items',
      rows: (
        <p className="flex flex-wrap gap-3">
          {data.items_above.map((number) => (
            <ItemNumber key={number} number={number} />
          ))}
        </p>
      ),
    },
    {
      id: 'products',
      figure: data.products.length,
      label: 'end products',
      rows: <Costs data={data} />,
    },
    {
      id: 'cost',
      figure: worst ? signed(worst.difference) : '±0.00',
      label: `${data.currency} a product${data.without_cost.length > 0 ? ', in part' : ''}`,
      rows: <Costs data={data} />,
    },
    ...(data.built.length === 0
      ? []
      : [
          {
            id: 'built',
            figure: `${signedMinutes(hardest(data.built).minutes)} min`,
            label: 'work in a product',
            rows: <BuiltProducts rows={data.built} />,
          },
        ]),
    {
      id: 'documents',
      figure: documents?.length ?? '…',
      label: 'open documents',
      rows: (
        <ul>
          {documents?.map(({ item, row }) => (
            <li key={`${item} ${row.document} ${row.due ?? ''}`}>
              {row.document}: {row.quantity} {row.unit} of {item}, revision {row.revision}, {amount(row.value)}{' '}
              {data.currency}
            </li>
          ))}
        </ul>
      ),
    },
    ...(lacking.length === 0
      ? []
      : [
          {
            id: 'lacking',
            figure: lacking.length,
            label: 'not in planning',
            look: 'text-warn',
            rows: (
              <p>
                {lacking.join(', ')}: introduced before the hand-over is sent, or now.{' '}
                {maySend && <Introduce numbers={lacking} />}
              </p>
            ),
          },
        ]),
    {
      id: 'plants',
      figure: toTakeOver ?? '…',
      label: toTakeOver === 1 ? 'line to take over at plants' : 'lines to take over at plants',
      look: toTakeOver ? 'text-warn' : '',
      rows: <PlantAccounts order={order} rows={plants.data ?? []} />,
    },
    {
      id: 'collisions',
      figure: data.collisions.length,
      label: data.collisions.length === 1 ? 'other order collides' : 'other orders collide',
      look: data.collisions.length > 0 ? 'text-alarm' : '',
      rows: <Collisions collisions={data.collisions} />,
    },
    {
      id: 'missing',
      figure: missing.length,
      label: 'missing for the next step',
      look: missing.length > 0 ? 'text-warn' : '',
      rows: (
        <ul>
          {missing.length === 0 ? (
            <li>Nothing missing.</li>
          ) : (
            missing.map((check) => <li key={check.name}>{check.reason}</li>)
          )}
        </ul>
      ),
    },
  ];
  const shown = figures.find((figure) => figure.id === open);

  return (
    <Foot label="Consequences">
      <div className="px-7">
        <AtWork order={order} />
      </div>
      {shown && (
        <div className="max-h-60 overflow-y-auto border-b border-rule px-6 py-2 text-sm">
          <h3 className="mb-1">
            {shown.figure} {shown.label}
          </h3>
          {shown.rows}
        </div>
      )}
      <div className="scale-x flex items-stretch overflow-x-auto px-4 pt-1">
        {figures.map((figure) => (
          <button
            key={figure.id}
            type="button"
            aria-expanded={open === figure.id}
            onClick={() => setOpen(open === figure.id ? null : figure.id)}
            className={clsx(
              'flex items-baseline gap-1.5 border-b-3 px-3 py-1.5 whitespace-nowrap hover:bg-well',
              open === figure.id ? 'border-accent' : 'border-transparent',
            )}
          >
            <b className={clsx('font-semibold', figure.look)}>{figure.figure}</b>
            <span className="text-sm text-soft">{figure.label}</span>
          </button>
        ))}
      </div>
    </Foot>
  );
}

const costColumns: Column<Schemas['Consequences']['products'][number]>[] = [
  {
    id: 'product',
    head: 'Product',
    text: (row) => row.product,
    cell: (row) => <ItemNumber number={row.product} />,
  },
  { id: 'title', head: 'Title', text: (row) => row.title, cell: (row) => row.title },
  {
    id: 'difference',
    get head() {
      return inMoney('Difference');
    },
    numeric: true,
    text: (row) => row.difference,
    cell: (row) => signed(row.difference),
  },
];

function Costs({ data }: { data: Schemas['Consequences'] }) {
  return (
    <>
      <DataTable
        label="Difference in cost by product"
        rows={data.products}
        columns={costColumns}
        keyOf={(product) => product.product}
        empty="No end product contains the revised items."
      />
      {data.without_cost.length > 0 && <p>Without a known cost, so not counted: {data.without_cost.join(', ')}.</p>}
    </>
  );
}

function Collisions({ collisions }: { collisions: Schemas['Collision'][] }) {
  return (
    <ul>
      {collisions.length === 0 && <li>No other open order revises the same items.</li>}
      {collisions.map((collision) => (
        <li key={collision.order}>
          <ChangeNumber number={collision.order} /> {collision.title}, {states[collision.state]}: revises{' '}
          {collision.items.join(', ')} too
        </li>
      ))}
    </ul>
  );
}
