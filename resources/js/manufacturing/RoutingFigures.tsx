import type { ReactNode } from 'react';
import type { Schemas } from '../lib/api';
import { amount, quantity, signed } from '../lib/format';

type UnitCost = Schemas['UnitCostData'];

interface Props {
  before: UnitCost;
  after: UnitCost;
  /** Of the totals. */
  difference: string;
}

/** Minutes and money of one unit, before and after, with what is not known. */
export function RoutingFigures({ before, after: cost, difference }: Props) {
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
      <span className="font-semibold">{signed(difference)}</span>
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
