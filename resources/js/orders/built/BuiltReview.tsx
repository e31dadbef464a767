import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { queries } from '../../lib/queries';
import { RoutingFigures } from '../../manufacturing/RoutingFigures';
import { ItemNumber } from '../../ui/Num';
import { DifferenceTotals } from '../DifferenceTotals';
import { BuiltGrid } from './BuiltGrid';
import { useBuilt, type BuiltRedline } from './useBuilt';

/** What a plant will build otherwise, to be judged: operations and lines before and after, minutes and money of a unit. */
export function BuiltReview({ order, item, plant }: { order: string; item: string; plant: string }) {
  const redline = useQuery(queries.builtRedline(order, item, plant));
  return redline.data ? <View redline={{ ...redline.data, may_edit: false }} /> : null;
}

function View({ redline }: { redline: BuiltRedline }) {
  const [all, setAll] = useState(false);
  const acts = useBuilt(redline);
  return (
    <section aria-label={`${redline.item.number} at ${redline.plant} before and after`}>
      <div className="mb-1 flex flex-wrap items-baseline justify-between gap-4">
        <h3>
          <ItemNumber number={redline.item.number} /> {redline.item.title} at {redline.plant},{' '}
          {redline.base ?? 'first release'} → {redline.becomes}
        </h3>
        <DifferenceTotals rows={[...redline.operations, ...redline.rows]} />
      </div>
      <BuiltGrid redline={redline} acts={acts} only={!all} wide={false} />
      <div className="flex flex-wrap items-baseline gap-x-6">
        <RoutingFigures before={redline.cost_before} after={redline.cost} difference={redline.difference} />
        <button
          type="button"
          aria-expanded={all}
          className="no-print text-sm text-accent hover:underline"
          onClick={() => setAll(!all)}
        >
          {all ? 'Show differences only' : 'Show all operations and lines'}
        </button>
      </div>
    </section>
  );
}
