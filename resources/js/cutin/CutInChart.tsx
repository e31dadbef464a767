import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import type { Schemas } from '../lib/api';
import { amount, day as dayOf } from '../lib/format';
import { newStock } from './newStock';
import { linear, path, type Scale } from './scale';

type Page = Schemas['CutInPage'];

interface Props {
  page: Page;
  /** A plan held beside it, to compare. */
  held: Page | null;
  at: number;
  onAt: (at: number) => void;
}

const WIDTH = 900;
const HEIGHT = 400;
const LEFT = 64;
const RIGHT = 888;
const STOCK = [26, 170] as const;
const COST = [210, 372] as const;

/** The course of the stock and, under it on the same axis of days, what each day would cost. The line between is dragged. */
export function CutInChart({ page, held, at, onAt }: Props) {
  const svg = useRef<SVGSVGElement>(null);
  const last = page.days.length - 1;
  const x = linear(0, last, LEFT, RIGHT);
  const index = (iso: string | null) => (iso === null ? -1 : page.days.findIndex(({ on }) => on === iso));
  const place = (event: PointerEvent) => {
    const box = svg.current?.getBoundingClientRect();
    if (!box) return;
    onAt(Math.max(0, Math.min(last, Math.round(x.back(((event.clientX - box.left) / box.width) * WIDTH)))));
  };
  const onKey = (event: KeyboardEvent) => {
    const steps: Record<string, number> = {
      ArrowRight: at + 1,
      ArrowUp: at + 1,
      ArrowLeft: at - 1,
      ArrowDown: at - 1,
      PageUp: at + 28,
      PageDown: at - 28,
      Home: 0,
      End: last,
    };
    const to = steps[event.key];
    if (to === undefined) return;
    event.preventDefault();
    onAt(Math.max(0, Math.min(last, to)));
  };
  const courses = page.parts.map((part) => ({
    old: part.old_stock.map(Number),
    new: newStock(
      Number(part.new_stock[0] ?? 0),
      coming(page, part.new.number, last),
      part.demand.map(Number),
      Number(part.ratio),
      at,
    ),
  }));
  const most = Math.max(1, ...courses.flatMap((course) => [...course.old, ...course.new]));
  const stock = linear(0, most, STOCK[1], STOCK[0]);
  const totals = page.days.map(({ total }) => Number(total));
  const others = held?.days.map(({ total }) => Number(total)) ?? [];
  const [low, high] = [Math.min(0, ...totals, ...others), Math.max(1, ...totals, ...others)];
  const cost = linear(low, high, COST[1], COST[0]);
  const earliest = index(page.earliest);
  const marks = [
    ['earliest', page.earliest],
    ['run-out', page.run_out],
    ['least cost', page.least_cost],
    ['prescribed', page.prescribed],
  ] as const;

  return (
    <svg
      ref={svg}
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="w-full touch-none border-y border-strong bg-sheet select-none"
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        place(event);
      }}
      onPointerMove={(event) => event.buttons === 1 && place(event)}
    >
      <Panel y={stock} range={STOCK} label={`Stock, ${page.parts[0]?.old.unit ?? ''}`} />
      <Panel y={cost} range={COST} label={`Cost, ${page.currency}`} />
      <Months page={page} x={x} />
      {(earliest > 0 || page.earliest === null) && (
        <g>
          <rect
            x={LEFT}
            y={COST[0]}
            width={(page.earliest === null ? RIGHT : x(earliest)) - LEFT}
            height={COST[1] - COST[0]}
            className="fill-well"
          />
          {(earliest > 45 || earliest < 0) && (
            <text x={LEFT + 6} y={COST[0] + 14} className="fill-soft text-[11px]">
              not possible yet
            </text>
          )}
        </g>
      )}
      {courses.map((course, i) => (
        <g key={page.parts[i]?.old.number} fill="none" strokeWidth="1.8">
          <path d={path(course.old, x, stock)} className="stroke-warn" />
          <path d={path(course.new, x, stock)} className="stroke-accent" strokeDasharray="6 3" />
        </g>
      ))}
      <line x1={LEFT} x2={RIGHT} y1={cost(0)} y2={cost(0)} className="stroke-strong" />
      {held && (
        <path d={path(others, x, cost)} fill="none" className="stroke-plum" strokeWidth="1.4" strokeDasharray="2 3" />
      )}
      <path d={path(totals, x, cost)} fill="none" className="stroke-ink" strokeWidth="2" />
      {marks.map(([name, iso], row) =>
        iso === null || index(iso) < 0 ? null : (
          <g key={name}>
            <line
              x1={x(index(iso))}
              x2={x(index(iso))}
              y1={STOCK[1]}
              y2={COST[1]}
              className="stroke-strong"
              strokeDasharray="1 3"
            />
            <text
              x={Math.min(RIGHT - 30, x(index(iso)))}
              y={STOCK[1] + 12 + (row % 2) * 13}
              textAnchor="middle"
              className="fill-ink stroke-sheet text-[11px] [paint-order:stroke]"
              strokeWidth="3"
            >
              {name}
            </text>
          </g>
        ),
      )}
      <g
        role="slider"
        tabIndex={0}
        aria-label="Day to cut in"
        aria-valuemin={0}
        aria-valuemax={last}
        aria-valuenow={at}
        aria-valuetext={`${dayOf(page.days[at]?.on ?? null)}, ${amount(page.days[at]?.total ?? '0')} ${page.currency}`}
        onKeyDown={onKey}
        className="cursor-ew-resize outline-none [&:focus-visible>rect]:stroke-focus [&:focus-visible>rect]:stroke-2"
      >
        <line x1={x(at)} x2={x(at)} y1={STOCK[0]} y2={COST[1]} className="stroke-accent" strokeWidth="2" />
        <rect x={x(at) - 6} y={4} width="12" height={STOCK[0] - 4} className="fill-accent" />
        <circle cx={x(at)} cy={cost(totals[at] ?? 0)} r="4" className="fill-accent" />
      </g>
    </svg>
  );
}

const compact = new Intl.NumberFormat('en-GB', { notation: 'compact' });

/** A tick of an axis; beside it there is room for seven digits. */
function written(tick: number): string {
  return Math.abs(tick) >= 10_000_000 ? compact.format(tick) : tick.toLocaleString('en-GB').replaceAll(',', '\u2009');
}

function Panel({ y, range, label }: { y: Scale; range: readonly [number, number]; label: string }) {
  return (
    <g className="text-[11px]">
      <text x={LEFT - 56} y={range[0] - 6} className="fill-soft">
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

function Months({ page, x }: { page: Page; x: Scale }) {
  const names = new Intl.DateTimeFormat('en-GB', { month: 'short' });
  return (
    <g className="text-[11px]">
      {page.days.map(({ on }, at) =>
        on.endsWith('-01') ? (
          <g key={on}>
            <line x1={x(at)} x2={x(at)} y1={COST[1]} y2={COST[1] + 6} className="stroke-strong" />
            <text x={x(at) + 3} y={COST[1] + 18} className="fill-soft">
              {names.format(new Date(`${on}T12:00:00`))}
              {on.slice(5, 7) === '01' ? ` ${on.slice(0, 4)}` : ''}
            </text>
          </g>
        ) : null,
      )}
    </g>
  );
}

function coming(page: Page, item: string, last: number): number[] {
  const byDay = new Array<number>(last + 1).fill(0);
  const from = page.days[0]?.on ?? '';
  for (const one of page.documents) {
    if (one.role !== 'new' || one.item !== item) continue;
    const at = one.due === null || one.due < from ? 0 : page.days.findIndex(({ on }) => on === one.due);
    if (at >= 0) byDay[at] = (byDay[at] ?? 0) + Number(one.quantity);
  }
  return byDay;
}
