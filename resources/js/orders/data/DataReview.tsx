import { useQuery } from '@tanstack/react-query';
import { day } from '../../lib/format';
import { queries } from '../../lib/queries';
import { ItemNumber } from '../../ui/Num';
import { DifferenceTotals } from '../DifferenceTotals';
import { DataGrid } from './DataGrid';

/** What will be known otherwise of the items on an order, to be judged. */
export function DataReview({ order }: { order: string }) {
  const data = useQuery(queries.dataOfOrder(order));
  if (data.data === undefined || data.data.length === 0) return null;
  return (
    <section aria-label="Item data" className="space-y-3">
      <h2>Item data</h2>
      {data.data.map((redline) => (
        <div key={redline.item.number}>
          <div className="mb-1 flex flex-wrap items-baseline justify-between gap-4">
            <h3>
              <ItemNumber number={redline.item.number} /> {redline.item.title}, data {redline.base ?? ''} →{' '}
              {redline.becomes}
              {redline.effective_on !== null && ` from ${day(redline.effective_on)}`}
            </h3>
            <DifferenceTotals rows={redline.rows} />
          </div>
          <DataGrid redline={redline} set={null} only />
        </div>
      ))}
    </section>
  );
}
