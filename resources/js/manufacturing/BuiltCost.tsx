import { useQuery } from '@tanstack/react-query';
import type { Schemas } from '../lib/api';
import { amount, quantity } from '../lib/format';
import { queries } from '../lib/queries';
import { DataTable, type Column } from '../ui/DataTable';
import { Facts } from '../ui/Facts';
import { Loading } from '../ui/Loading';
import { Notice } from '../ui/Notice';
import { ItemNumber } from '../ui/Num';

type Row = Schemas['BuiltCostRow'];

const number = (id: keyof Row, head: string, write: (text: string) => string): Column<Row> => ({
  id,
  head,
  numeric: true,
  text: (row) => String(row[id]),
  cell: (row) => write(String(row[id])),
});

const columns: Column<Row>[] = [
  { id: 'item', head: 'Item made', text: ({ item }) => item, cell: ({ item }) => <ItemNumber number={item} /> },
  { id: 'title', head: 'Title', text: ({ title }) => title, cell: ({ title }) => title },
  {
    id: 'plant',
    head: 'At',
    text: ({ plant, revision }) => `${plant} ${revision}`,
    cell: ({ plant, revision }) => `${plant} ${revision}`,
  },
  number('quantity', 'Total qty', quantity),
  number('set_up_minutes', 'Set-up, min', quantity),
  number('run_minutes', 'Run, min', quantity),
  number('labour', 'Labour', amount),
  number('set_up', 'Set-up', amount),
  number('subcontract', 'Subcontract', amount),
  number('by_products', 'By-products', amount),
  number('total', 'Total', amount),
  number('lead_time_days', 'Days a batch', (text) => text),
];

interface Props {
  number: string;
  on: string;
  /** Empty: as the first plant builds it. */
  plant: string;
}

/** What one of an item costs and takes through all levels, as a plant builds it. */
export function BuiltCost({ number: of, on, plant }: Props) {
  const page = useQuery(queries.builtCost(of, { on, plant }));
  return (
    <Loading query={page}>
      {(cost) => (
        <div className="space-y-2">
          <div className="border-b border-rule px-3 pb-2">
            <Facts
              facts={[
                [`Material, ${cost.currency}`, amount(cost.material)],
                ['Labour', amount(cost.labour)],
                ['Set-up at batch size', amount(cost.set_up)],
                ['Subcontract', amount(cost.subcontract)],
                ['By-products', amount(cost.by_products)],
                ['Total', <b key="t">{amount(cost.total)}</b>],
                ['Run', `${quantity(cost.run_minutes)} min`],
                ['Set-up time', `${quantity(cost.set_up_minutes)} min`],
                ['Lead time', `${cost.lead_time_days} working days`],
                ['Through', cost.chain.join(' › ')],
              ]}
            />
          </div>
          {cost.missing.length > 0 && (
            <Notice look="warn">
              Not known, and not counted:
              <ul>
                {cost.missing.map((words) => (
                  <li key={words}>{words}</li>
                ))}
              </ul>
            </Notice>
          )}
          <DataTable
            label={`Work in ${of}`}
            exportName={`${of}-work`}
            rows={cost.rows}
            columns={columns}
            keyOf={({ item }) => item}
            empty="Nothing in it has a routing on that day."
          />
        </div>
      )}
    </Loading>
  );
}
