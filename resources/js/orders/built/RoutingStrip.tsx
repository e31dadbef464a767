import { RoutingFigures } from '../../manufacturing/RoutingFigures';
import type { BuiltRedline } from './useBuilt';

/** What the edits mean for one unit, always in sight. */
export function RoutingStrip({ redline }: { redline: BuiltRedline }) {
  return (
    <aside
      aria-label="Minutes and money of one unit"
      className="no-print fixed inset-x-0 bottom-0 z-20 flex flex-wrap items-baseline gap-x-6 gap-y-1 border-t border-strong bg-sheet px-6 py-2"
    >
      <RoutingFigures before={redline.cost_before} after={redline.cost} difference={redline.difference} />
    </aside>
  );
}
