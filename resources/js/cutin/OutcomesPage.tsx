import { useQuery } from '@tanstack/react-query';
import { useSearchParams } from 'react-router';
import { amount, cents, signed } from '../lib/format';
import { queries } from '../lib/queries';
import { DataTable, type Column } from '../ui/DataTable';
import { Loading } from '../ui/Loading';
import { ChangeNumber } from '../ui/Num';
import { Page } from '../ui/Page';
import { Select } from '../ui/Select';
import { outcomeColumns, outcomeKey, type Outcome } from './outcomeColumns';

interface Row extends Outcome {
  order: string;
  title: string;
}

const columns: Column<Row>[] = [
  { id: 'order', head: 'Order', text: (r) => r.order, cell: (r) => <ChangeNumber number={r.order} /> },
  { id: 'title', head: 'Title', text: (r) => r.title, cell: (r) => r.title },
  ...outcomeColumns,
];

/** The cut-ins of a year: what the plans said would be left over and short, and what became of it. */
export function OutcomesPage() {
  const [search, setSearch] = useSearchParams();
  const asked = search.get('year');
  const found = useQuery(queries.cutInOutcomes(asked));
  return (
    <Page
      title="Cut-ins, planned and actual"
      over="Released orders"
      aside={
        found.data && found.data.years.length > 1 ? (
          <Select
            aria-label="Year"
            className="w-24"
            value={String(found.data.year)}
            onChange={(year) => setSearch({ year })}
            options={Object.fromEntries(found.data.years.map((year) => [String(year), String(year)]))}
          />
        ) : (
          <span>{found.data?.year}</span>
        )
      }
    >
      <Loading query={found}>
        {(page) => {
          const rows = page.orders.flatMap(({ order, title, parts }) =>
            parts.map((part) => ({ ...part, order, title })),
          );
          return (
            <div className="space-y-3">
              {rows.length > page.ahead && (
                <p>
                  Leftover and shortage cost <b className="font-semibold">{amount(cents(page.became))}</b>{' '}
                  {page.currency}; planned: {amount(cents(page.planned))}, difference {signed(cents(page.difference))}.
                  {page.ahead > 0 && (
                    <span className="text-soft"> Not in it: {page.ahead} with the day still to come.</span>
                  )}
                </p>
              )}
              <DataTable
                label="Cut-ins, planned and actual"
                exportName={`cut-ins-${page.year}`}
                rows={rows}
                columns={columns}
                keyOf={(row) => `${row.order} ${outcomeKey(row)}`}
                empty="No released order of this year has a cut-in day from the planner. Choose one on the cut-in page of a request."
              />
              <p className="text-sm text-soft">
                Actual figures are planning&apos;s on the cut-in day, or on the first day after it on which planning
                answered. Both are valued at the prices of the plan.
              </p>
            </div>
          );
        }}
      </Loading>
    </Page>
  );
}
