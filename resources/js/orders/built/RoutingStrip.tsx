import { useQuery } from '@tanstack/react-query';
import { signed, signedMinutes } from '../../lib/format';
import { queries } from '../../lib/queries';
import { RoutingFigures } from '../../manufacturing/RoutingFigures';
import { Foot } from '../../ui/Foot';
import { AtWork } from '../AtWork';
import { hardest } from '../BuiltProducts';
import type { BuiltRedline } from './useBuilt';

/** What the edits mean for one unit, and for the product of which they change most; always in sight. */
export function RoutingStrip({ redline }: { redline: BuiltRedline }) {
  const { data } = useQuery({ ...queries.consequences(redline.order), enabled: redline.is_open });
  const products = data?.built.filter(({ plant }) => plant === redline.plant) ?? [];
  const most = products.length === 0 ? null : hardest(products);
  return (
    <Foot label="Minutes and money of one unit" className="flex flex-wrap items-baseline gap-x-6 gap-y-1 px-6 py-2">
      {redline.is_open && (
        <div className="basis-full empty:hidden">
          <AtWork order={redline.order} />
        </div>
      )}
      <RoutingFigures before={redline.cost_before} after={redline.cost} difference={redline.difference} />
      {most !== null && (
        <span>
          <span className="text-sm text-soft">A {most.title}</span> {signedMinutes(most.minutes)} min,{' '}
          {signed(most.difference)}
        </span>
      )}
    </Foot>
  );
}
