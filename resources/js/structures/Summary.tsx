import type { Picture } from '../lib/words';
import { useInfiniteQuery } from '@tanstack/react-query';
import type { Schemas } from '../lib/api';
import { amount, count, quantity } from '../lib/format';
import { queries } from '../lib/queries';
import { inMoney } from '../lib/settings';
import { Button } from '../ui/Button';
import { DataTable, type Column } from '../ui/DataTable';
import { Facts } from '../ui/Facts';
import { Loading } from '../ui/Loading';
import { ItemNumber } from '../ui/Num';
import { Status } from '../ui/Status';

type Row = Schemas['SummaryRow'];

const columns: Column<Row>[] = [
  {
    id: 'number',
    head: 'Number',
    cell: ({ item }) => <ItemNumber number={item.number} />,
    text: ({ item }) => item.number,
  },
  { id: 'title', head: 'Title', cell: ({ item }) => item.title, text: ({ item }) => item.title },
  {
    id: 'status',
    head: 'Revision',
    cell: ({ item }) => (
      <Status status={item.status} revision={item.revision} coming={item.coming} revisedBy={item.being_revised_by} />
    ),
    text: ({ item }) => item.revision ?? '',
  },
  { id: 'level', head: 'Level', cell: ({ level }) => level, text: ({ level }) => String(level), numeric: true },
  {
    id: 'quantity',
    head: 'Qty per assembly',
    cell: (row) => quantity(row.quantity),
    text: (row) => row.quantity,
    numeric: true,
  },
  { id: 'unit', head: 'Unit', cell: ({ item }) => item.unit, text: ({ item }) => item.unit },
  {
    id: 'cost',
    get head() {
      return inMoney('At standard cost');
    },
    cell: ({ cost }) => (cost === null ? <span className="text-soft">not known</span> : amount(cost)),
    text: ({ cost }) => cost ?? '',
    numeric: true,
  },
];

/** All that is in an item, each component once, and what it adds up to. */
export function Summary({ number, on, picture }: { number: string; on: string; picture: Picture }) {
  const summary = useInfiniteQuery(queries.summary(number, { on, ...picture }));
  return (
    <Loading query={summary}>
      {({ pages }) => {
        const [top] = pages;
        const rows = pages.flatMap((page) => page.rows);
        if (!top) return null;
        return (
          <>
            <div className="mb-2 border-b border-rule px-3 pb-2">
              <Facts
                facts={[
                  [
                    `Cost of all parts, ${top.currency}`,
                    <Known key="c" value={amount(top.cost)} missing={top.missing_cost} names={top.without_cost} />,
                  ],
                  [
                    'Mass, kg',
                    <Known key="m" value={quantity(top.mass)} missing={top.missing_mass} names={top.without_mass} />,
                  ],
                  [
                    'Longest lead time',
                    <Known
                      key="l"
                      value={`${top.lead_time_days} working days`}
                      missing={top.missing_lead_time}
                      names={top.without_lead_time}
                    />,
                  ],
                  ['Through', top.longest_chain.join(' › ')],
                ]}
              />
            </div>
            <DataTable
              label={`Flattened structure of ${number}`}
              rows={rows}
              columns={columns}
              keyOf={({ item }) => item.number}
              empty="No components on that day."
              exportName={`${number}-summed`}
            />
            {summary.hasNextPage && (
              <Button busy={summary.isFetchingNextPage} onClick={() => void summary.fetchNextPage()}>
                Show more, {count(rows.length)} of {count(top.total)} are here
              </Button>
            )}
          </>
        );
      }}
    </Loading>
  );
}

/** A sum, and what is not in it because it is not known. */
function Known({ value, missing, names }: { value: string; missing: number; names: string[] }) {
  return (
    <>
      {value}
      {missing > 0 && (
        <span className="block text-sm text-warn" title={names.join(', ')}>
          without {count(missing)} not known: {names.slice(0, 3).join(', ')}
          {missing > 3 && ' …'}
        </span>
      )}
    </>
  );
}
