import type { Schemas } from '../lib/api';
import type { Scale } from './scale';

export const WIDTH = 900;
export const LEFT = 64;
export const RIGHT = 888;
export const STOCK = [26, 146] as const;
export const FLOW = [186, 230] as const;
export const COST = [292, 430] as const;
/** Where the rows of the plants begin, and how high each is. */
export const PLANTS = 444;
export const ROW = 20;

const compact = new Intl.NumberFormat('en-GB', { notation: 'compact' });

/** A tick of an axis; beside it there is room for seven digits. */
function written(tick: number): string {
  if (Math.abs(tick) < 1e-9) return '0';
  return Math.abs(tick) >= 10_000_000 ? compact.format(tick) : tick.toLocaleString('en-GB').replaceAll(',', '\u2009');
}

/** The axis of one of the pictures above one another. */
export function Panel({
  y,
  range,
  label,
  lift = 6,
}: {
  y: Scale;
  range: readonly [number, number];
  label: string;
  /** How far above it its name stands. */
  lift?: number;
}) {
  return (
    <g className="text-[11px]">
      <text x={LEFT - 56} y={range[0] - lift} className="fill-soft">
        {label}
      </text>
      {y.ticks.map((tick) => (
        <g key={tick}>
          <line x1={LEFT} x2={RIGHT} y1={y(tick)} y2={y(tick)} className="stroke-rule" />
          <text x={LEFT - 6} y={y(tick) + 4} textAnchor="end" className="fill-soft">
            {written(tick)}
          </text>
        </g>
      ))}
    </g>
  );
}

/** The months along the foot of all pictures. */
export function Months({ days, x, y }: { days: Schemas['CutInDayRow'][]; x: Scale; y: number }) {
  const names = new Intl.DateTimeFormat('en-GB', { month: 'short' });
  return (
    <g className="text-[11px]">
      {days.map(({ on }, at) =>
        on.endsWith('-01') ? (
          <g key={on}>
            <line x1={x(at)} x2={x(at)} y1={y} y2={y + 6} className="stroke-strong" />
            <text x={x(at) + 3} y={y + 16} className="fill-soft">
              {names.format(new Date(`${on}T12:00:00`))}
              {on.slice(5, 7) === '01' ? ` ${on.slice(0, 4)}` : ''}
            </text>
          </g>
        ) : null,
      )}
    </g>
  );
}

/** What the eye should see: a day with its name, led down to the curve. */
export function DayMark({ at, name, row, x }: { at: number; name: string; row: number; x: Scale }) {
  return (
    <g>
      <line x1={x(at)} x2={x(at)} y1={STOCK[0]} y2={COST[1]} className="stroke-strong" strokeDasharray="1 3" />
      <text
        x={Math.max(LEFT + 20, Math.min(RIGHT - 30, x(at)))}
        y={FLOW[1] + 14 + row * 12}
        textAnchor="middle"
        className="fill-ink stroke-sheet text-[11px] [paint-order:stroke]"
        strokeWidth="3"
      >
        {name}
      </text>
    </g>
  );
}

/** One plant: the days on which it can cut in, its best day and its run-out. */
export function PlantRow({
  plant,
  days,
  x,
  y,
}: {
  plant: Schemas['CutInPlant'];
  days: Schemas['CutInDayRow'][];
  x: Scale;
  y: number;
}) {
  const index = (iso: string | null) => (iso === null ? -1 : days.findIndex(({ on }) => on === iso));
  const [best, runOut] = [index(plant.best.least_cost), index(plant.run_out)];
  const width = x(1) - x(0);
  return (
    <g className="text-[11px]">
      <text x={LEFT - 6} y={y + 9} textAnchor="end" className="fill-ink">
        {plant.plant === '' ? 'All' : plant.plant}
      </text>
      <line x1={LEFT} x2={RIGHT} y1={y + 10} y2={y + 10} className="stroke-rule" />
      {plant.possible.map((possible, at) =>
        possible ? (
          <rect key={at} x={x(at) - width / 2} y={y + 2} width={width} height="8" className="fill-accent-soft" />
        ) : null,
      )}
      {runOut >= 0 && (
        <path d={`M${x(runOut) - 4} ${y + 2}l8 8m0-8l-8 8`} className="stroke-warn" strokeWidth="1.6" fill="none" />
      )}
      {best >= 0 && <path d={`M${x(best)} ${y}l6 6l-6 6l-6-6z`} className="fill-accent" />}
    </g>
  );
}
