import type { Schemas } from '../lib/api';
import { day as dayOf, quantity } from '../lib/format';
import { Panel } from './chartFrame';
import { linear, type Scale } from './scale';

interface Props {
  page: Schemas['CutInPage'];
  plant: Schemas['CutInPlant'];
  parts: Schemas['CutInPart'][];
  unit: string;
  at: number;
  x: Scale;
  range: readonly [number, number];
}

const WEEK = 7;

/** What is wanted each week of what goes, until the day, and of what comes, from it on; and what is on its way of either. */
export function Flow({ page, plant, parts, unit, at, x, range }: Props) {
  const weeks = Math.ceil(page.days.length / WEEK);
  const wanted = Array.from({ length: weeks }, () => [0, 0] as [number, number]);
  for (const part of parts) {
    page.days.forEach((_, day) => {
      const week = wanted[Math.floor(day / WEEK)];
      if (!week) return;
      const others = Number(part.others[day] ?? 0);
      week[0] += (day < at ? Number(part.until[day] ?? 0) : 0) + (part.goes ? others : 0);
      week[1] += (day < at ? 0 : Number(part.from_then[day] ?? 0)) + (part.goes ? 0 : others);
    });
  }
  const most = Math.max(1, ...wanted.map(([goes, comes]) => goes + comes));
  const y = linear(0, most, range[1], range[0], 2);
  const width = x(WEEK) - x(0) - 2;
  const numbers = new Set(parts.map((part) => part.item.number));
  const receipts = page.documents.filter(
    (one) => numbers.has(one.item) && one.plant === plant.plant && (one.role === 'goes' || one.role === 'comes'),
  );
  return (
    <g>
      <Panel y={y} range={range} label={`Demand a week, ${unit}; receipts ▾`} lift={16} />
      {wanted.map(([goes, comes], week) => (
        <g key={week}>
          <rect x={x(week * WEEK)} y={y(goes)} width={width} height={range[1] - y(goes)} className="fill-warn" />
          <rect
            x={x(week * WEEK)}
            y={y(goes + comes)}
            width={width}
            height={y(goes) - y(goes + comes)}
            className="fill-none stroke-accent"
          />
        </g>
      ))}
      {receipts.map((one) => {
        const day = page.days.findIndex(({ on }) => on === one.expected);
        if (day < 0) return null;
        return (
          <path
            key={`${one.document} ${one.item}`}
            d={`M${x(day) - 5} ${range[0] - 4}h10l-5 8z`}
            className={one.role === 'goes' ? 'fill-warn' : 'fill-sheet stroke-accent'}
          >
            <title>{`${one.document}, ${quantity(one.quantity)} ${one.unit}, ${dayOf(one.expected)}${one.overdue ? ', overdue' : ''}`}</title>
          </path>
        );
      })}
    </g>
  );
}
