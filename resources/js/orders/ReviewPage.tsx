import { useQuery } from '@tanstack/react-query';
import { useParams } from 'react-router';
import type { Schemas } from '../lib/api';
import { count, day, moment, signed } from '../lib/format';
import { queries } from '../lib/queries';
import { nameOf } from '../lib/choices';
import { dispositions, states } from '../lib/words';
import { PlantAccounts } from '../manufacturing/PlantAccounts';
import { ExposureView } from '../planning/ExposureView';
import { UsedInTable } from '../structures/UsedInTable';
import { Button } from '../ui/Button';
import { Facts } from '../ui/Facts';
import { Loading } from '../ui/Loading';
import { ChangeNumber, ItemNumber } from '../ui/Num';
import { Page } from '../ui/Page';
import { Person } from '../ui/Person';
import { BuiltReview } from './built/BuiltReview';
import { BuiltProducts } from './BuiltProducts';
import { Collided } from './Collided';
import { Dependences } from './Dependences';
import { DataReview } from './data/DataReview';
import { DifferenceTotals } from './DifferenceTotals';
import { ReviewTable } from './ReviewTable';
import { SignForm } from './SignForm';

/** Everything needed to judge an order, on one page, and the signature at its end. */
export function ReviewPage() {
  const { number = '' } = useParams();
  const review = useQuery(queries.review(number));
  return review.data ? (
    <ReviewView review={review.data} />
  ) : (
    <Page title={number}>
      <Loading query={review}>{() => null}</Loading>
    </Page>
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

function ReviewView({ review }: { review: Schemas['Review'] }) {
  const { order, consequences } = review;
  return (
    <Page
      title={order.title}
      number={order.number}
      over={
        <span className="flex items-baseline gap-2">
          Review of <ChangeNumber number={order.number} />
        </span>
      }
      aside={
        <>
          <span className="text-soft">{states[order.state]}</span>
          <Button className="no-print" onClick={() => window.print()}>
            Print
          </Button>
        </>
      }
    >
      <div className="space-y-6">
        <div className="border-y border-strong bg-sheet px-3 py-2">
          <Facts
            facts={[
              ['Effective from', day(order.effective_on)],
              ['Raised by', <Person key="by" name={order.author} />],
              ['Editor', order.editor_name === null ? null : <Person key="e" name={order.editor_name} />],
              [
                'Signer',
                order.signer_name === null ? null : <Person key="s" name={order.signer_name} to="waits_for" />,
              ],
              ['In review since', moment(order.sent_to_review_at)],
              [
                'Cost of a product',
                consequences.products
                  .map((p) => `${p.product} ${signed(p.difference)} ${consequences.currency}`)
                  .join(', ') ||
                  (review.redlines.length === 0 ? 'see below, plant by plant' : 'no product contains it'),
              ],
            ]}
          />
        </div>
        <Collided collisions={consequences.collisions} />
        <Dependences order={order.number} />
        {review.requests.map((request) => (
          <section key={request.number} aria-label={`Why: ${request.number}`}>
            <h2>Reason</h2>
            <p className="max-w-4xl whitespace-pre-line">
              <ChangeNumber number={request.number} /> {nameOf('reason', request.reason)}: {request.description}
            </p>
            <p className="max-w-4xl">Finding: {request.finding}</p>
          </section>
        ))}
        {review.redlines.map((redline) => (
          <section key={redline.item.number} aria-label={`${redline.item.number} before and after`}>
            <div className="mb-1 flex flex-wrap items-baseline justify-between gap-4">
              <h2>
                <ItemNumber number={redline.item.number} /> {redline.item.title}, {redline.base ?? 'first release'} →{' '}
                {redline.becomes}
              </h2>
              <DifferenceTotals rows={redline.rows} />
            </div>
            <ReviewTable redline={redline} />
          </section>
        ))}
        {consequences.built.length > 0 && (
          <section aria-label="Work and cost of products">
            <h2 className="mb-1">Work and cost of products, as plants build them</h2>
            <BuiltProducts rows={consequences.built} />
          </section>
        )}
        <Manufacturing order={order.number} />
        <DataReview order={order.number} />
        <section aria-label="Items and existing stock">
          <h2 className="mb-1">Disposition of existing stock</h2>
          <ul>
            {order.items.map((row) => (
              <li key={row.item.number}>
                <ItemNumber number={row.item.number} /> {row.item.title}:{' '}
                {row.disposition != null
                  ? dispositions[row.disposition].toLowerCase()
                  : row.outcome === 'build'
                    ? 'stays what it is; only the building of it changes'
                    : row.outcome === 'data'
                      ? 'stays what it is; only data of it change'
                      : 'not decided'}
              </li>
            ))}
          </ul>
        </section>
        <ExposureView items={consequences.affected} coming={consequences.coming} />
        <section aria-label="Where used">
          <h2 className="mb-1">Where used</h2>
          <div className="grid gap-4 md:grid-cols-2 xl:grid-cols-3">
            {review.reach.map((reach) => (
              <div key={reach.item}>
                <p className="text-sm">
                  <span className="font-mono">{reach.item}</span>
                  {reach.total > reach.used_in.length && (
                    <span className="text-soft">
                      {' '}
                      nearest {reach.used_in.length} of {count(reach.total)}
                    </span>
                  )}
                </p>
                <UsedInTable rows={reach.used_in} number={reach.item} />
              </div>
            ))}
          </div>
        </section>
        {(review.may_sign || review.may_send_back) && (
          <SignForm order={order} maySign={review.may_sign} maySendBack={review.may_send_back} />
        )}
      </div>
    </Page>
  );
}
