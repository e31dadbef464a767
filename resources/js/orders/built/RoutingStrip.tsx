import type { ReactNode } from 'react';
import { amount, quantity, signed } from '../../lib/format';
import type { BuiltRedline } from './useBuilt';

/** What the edits mean for one unit, always in sight. */
export function RoutingStrip({ redline }: { redline: BuiltRedline }) {
  return (
    <aside
      aria-label="Minutes and money of one unit"
      className="no-print fixed inset-x-0 bottom-0 z-20 flex flex-wrap items-baseline gap-x-6 gap-y-1 border-t border-strong bg-sheet px-6 py-2"
    >
      <RoutingFigures redline={redline} />
    </aside>
  );
}

/** Minutes and money of one unit, before and after, with what is not known. */
export function RoutingFigures({ redline }: { redline: BuiltRedline }) {
  const { cost_before: before, cost } = redline;
  const figures: [string, string, string, (text: string) => string][] = [
    ['Material', before.material, cost.material, amount],
    ['Set-up min a unit', before.set_up, cost.set_up, quantity],
    ['Run min a unit', before.run, cost.run, quantity],
    ['Labour', before.labour, cost.labour, amount],
    ['Set-up', before.set_up_cost, cost.set_up_cost, amount],
    ['Subcontract', before.subcontract, cost.subcontract, amount],
    ['Together', before.total, cost.total, amount],
  ];
  return (
    <>
      {figures.map(([label, was, is, write]) => (
        <span key={label}>
          <span className="text-sm text-soft">{label}</span>{' '}
          <Change was={write(was)} is={write(is)} same={was === is} />
        </span>
      ))}
      <span className="font-semibold">{signed(redline.difference)}</span>
      {cost.missing.map((words) => (
        <span key={words} className="text-alarm">
          ▲ {words}
        </span>
      ))}
    </>
  );
}

function Change({ was, is, same }: { was: string; is: string; same: boolean }): ReactNode {
  return same ? (
    is
  ) : (
    <>
      <del className="text-soft">{was}</del> <ins className="font-semibold no-underline">{is}</ins>
    </>
  );
}
