import { useQuery } from '@tanstack/react-query';
import { useParams } from 'react-router';
import type { Schemas } from '../lib/api';
import { OrderSheets } from '../documents/compare/OrderSheets';
import { count, day, moment } from '../lib/format';
import { queries } from '../lib/queries';
import { nameOf } from '../lib/choices';
import { dispositions, states } from '../lib/words';
import { ExposureView } from '../planning/ExposureView';
import { UsedInTable } from '../structures/UsedInTable';
import { Button } from '../ui/Button';
import { Facts } from '../ui/Facts';
import { Loading } from '../ui/Loading';
import { ChangeNumber, ItemNumber } from '../ui/Num';
import { Page } from '../ui/Page';
import { Person } from '../ui/Person';
import { BeforeAfter } from './BeforeAfter';
import { Collided } from './Collided';
import { costOfProducts } from './costOfProducts';
import { Dependences } from './Dependences';
import { DoneTexts } from './DoneTexts';
import { PathPicture } from '../paths/PathPicture';
import { SignForm } from './SignForm';
import { Subordination } from './Subordination';
import { Belongings } from './Belongings';
import { Waivers } from './Waivers';

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
              ['Cost of a product', costOfProducts(review)],
            ]}
          />
        </div>
        {order.path.code !== null && <PathPicture path={order.path} tasks={`/changes/${order.number}#tasks`} />}
        <Collided collisions={consequences.collisions} />
        <Waivers waivers={order.waivers} />
        <Dependences order={order.number} />
        <Subordination order={order} editable={false} acts={false} />
        {review.requests.map((request) => (
          <section key={request.number} aria-label={`Why: ${request.number}`}>
            <h2>Reason</h2>
            <p className="max-w-4xl whitespace-pre-line">
              <ChangeNumber number={request.number} /> {nameOf('reason', request.reason)}: {request.description}
            </p>
            <p className="max-w-4xl">Finding: {request.finding}</p>
          </section>
        ))}
        <BeforeAfter review={review} />
        <OrderSheets order={order.number} />
        <DoneTexts order={order} editable={false} />
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
        <Belongings order={order} editable={false} level={2} />
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
