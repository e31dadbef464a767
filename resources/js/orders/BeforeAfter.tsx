import { useQuery } from '@tanstack/react-query';
import type { Schemas } from '../lib/api';
import { queries } from '../lib/queries';
import { PlantAccounts } from '../manufacturing/PlantAccounts';
import { Loading } from '../ui/Loading';
import { ItemNumber } from '../ui/Num';
import { BuiltReview } from './built/BuiltReview';
import { BuiltProducts } from './BuiltProducts';
import { DataReview } from './data/DataReview';
import { DifferenceTotals } from './DifferenceTotals';
import { ReviewTable } from './ReviewTable';

/** All that an order changes, or a request proposes, before and after: structures, what plants build, item data. */
export function BeforeAfter({ review }: { review: Schemas['Review'] }) {
  return (
    <>
      {review.redlines.map((redline) => (
        <section key={redline.item.number} aria-label={`${redline.item.number} before and after`}>
          <div className="mb-1 flex flex-wrap items-baseline justify-between gap-4">
            <h2>
              <ItemNumber number={redline.item.number} /> {redline.item.title}, {redline.base ?? 'first release'} →{' '}
              {redline.becomes}
            </h2>
            {redline.rows.length > 0 && <DifferenceTotals rows={redline.rows} />}
          </div>
          {redline.rows.length === 0 ? (
            <p className="text-soft">It has no lines.</p>
          ) : (
            <ReviewTable redline={redline} />
          )}
        </section>
      ))}
      {review.consequences.built.length > 0 && (
        <section aria-label="Work and cost of products">
          <h2 className="mb-1">Work and cost of products, as plants build them</h2>
          <BuiltProducts rows={review.consequences.built} />
        </section>
      )}
      <Manufacturing order={review.order.number} />
      <DataReview order={review.order.number} />
    </>
  );
}

/** Whether manufacturing has taken the change over, plant by plant. */
function Manufacturing({ order }: { order: string }) {
  const plants = useQuery(queries.orderAccountability(order));
  return (
    <section aria-label="Manufacturing">
      <h2 className="mb-1">Manufacturing</h2>
      <Loading query={plants}>
        {(rows) => (
          <div className="space-y-4">
            <PlantAccounts order={order} rows={rows} />
            {rows
              .filter(({ becomes }) => becomes !== null)
              .map(({ item, plant }) => (
                <BuiltReview key={`${item} ${plant}`} order={order} item={item} plant={plant} />
              ))}
          </div>
        )}
      </Loading>
    </section>
  );
}
