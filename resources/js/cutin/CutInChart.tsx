import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import type { Schemas } from '../lib/api';
import { amount, day as dayOf } from '../lib/format';
import { COST, DayMark, FLOW, LEFT, Months, Panel, PLANTS, PlantRow, RIGHT, ROW, STOCK, WIDTH } from './chartFrame';
import { Flow } from './Flow';
import { linear, path } from './scale';
import { stockFrom } from './stockFrom';

type Page = Schemas['CutInPage'];

interface Props {
  page: Page;
  /** The plant of which stock, demand and receipts are drawn, and the unit in which. */
  plant: Schemas['CutInPlant'];
  unit: string;
  /** A plan held beside it, to compare. */
  held: Page | null;
  at: number;
  onAt: (at: number) => void;
}

/** Stock, demand and receipts, what each day costs, and the plants, one above the other on one axis of days. The line is dragged. */
export function CutInChart({ page, plant, unit, held, at, onAt }: Props) {
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
  const drawn = plant.parts.filter((part) => part.item.unit === unit);
  const courses = drawn.map((part) => ({
    part,
    stock: stockFrom(
      part.unchanged_course.map(Number),
      coming(page, plant.plant, part.item.number),
      part.others.map((others, day) => Number(others) + Number(part.from_then[day] ?? 0)),
      at,
    ),
  }));
  const most = Math.max(1, ...courses.flatMap((course) => course.stock));
  const stock = linear(0, most, STOCK[1], STOCK[0]);
  const totals = page.days.map(({ total }) => Number(total));
  const others = held?.days.map(({ total }) => Number(total)) ?? [];
  const [low, high] = [Math.min(0, ...totals, ...others), Math.max(1, ...totals, ...others)];
  const cost = linear(low, high, COST[1], COST[0]);
  const earliest = index(page.best.earliest);
  const [asGoodFrom, asGoodTo] = [index(page.best.as_good_from), index(page.best.as_good_to)];
  const foot = PLANTS + page.plants.length * ROW;
  const marks = [
    ['earliest', page.best.earliest],
    ['run-out', page.run_out],
    ['least cost', page.best.least_cost],
    ['prescribed', page.prescribed],
  ] as const;

  return (
    <svg
      ref={svg}
      viewBox={`0 0 ${WIDTH} ${foot + 24}`}
      className="w-full touch-none border-y border-strong bg-sheet select-none"
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        place(event);
      }}
      onPointerMove={(event) => event.buttons === 1 && place(event)}
    >
      <Panel y={stock} range={STOCK} label={`Stock${plant.plant === '' ? '' : ` at ${plant.plant}`}, ${unit}`} />
      {(earliest > 0 || page.best.earliest === null) && (
        <g>
          <rect
            x={LEFT}
            y={COST[0]}
            width={(page.best.earliest === null ? RIGHT : x(earliest)) - LEFT}
            height={COST[1] - COST[0]}
            className="fill-well"
          />
          {(earliest > 45 || earliest < 0) && (
            <text x={LEFT + 6} y={COST[1] - 8} className="fill-soft text-[11px]">
              not possible yet
            </text>
          )}
        </g>
      )}
      {asGoodFrom >= 0 && (
        <rect
          x={x(asGoodFrom)}
          y={COST[0]}
          width={Math.max(2, x(asGoodTo) - x(asGoodFrom))}
          height={COST[1] - COST[0]}
          className="fill-accent-soft"
        />
      )}
      <Panel y={cost} range={COST} label={`Cost, ${page.currency}`} />
      {courses.map(({ part, stock: course }) => (
        <g key={part.item.number} fill="none" strokeWidth="1.8">
          <path
            d={path(course, x, stock)}
            className={part.goes ? 'stroke-warn' : 'stroke-accent'}
            strokeDasharray={part.goes ? undefined : '6 3'}
          />
        </g>
      ))}
      <Flow page={page} plant={plant} parts={drawn} unit={unit} at={at} x={x} range={FLOW} />
      <line x1={LEFT} x2={RIGHT} y1={cost(0)} y2={cost(0)} className="stroke-strong" />
      {held && (
        <path d={path(others, x, cost)} fill="none" className="stroke-plum" strokeWidth="1.4" strokeDasharray="2 3" />
      )}
      <path d={path(totals, x, cost)} fill="none" className="stroke-ink" strokeWidth="2" />
      {marks.map(([name, iso], row) =>
        iso === null || index(iso) < 0 ? null : <DayMark key={name} name={name} at={index(iso)} row={row} x={x} />,
      )}
      {page.plants.map((one, row) => (
        <PlantRow key={one.plant} plant={one} days={page.days} x={x} y={PLANTS + row * ROW} />
      ))}
      <Months days={page.days} x={x} y={foot} />
      <g
        role="slider"
        tabIndex={0}
        aria-label="Day to cut in"
        aria-valuemin={0}
        aria-valuemax={last}
        aria-valuenow={at}
        aria-valuetext={`${dayOf(page.days[at]?.on ?? null)}, ${amount(page.days[at]?.total ?? '0')} ${page.currency}${
          page.days[at]?.possible ? '' : ', not possible'
        }`}
        onKeyDown={onKey}
        className="cursor-ew-resize outline-none [&:focus-visible>rect]:stroke-focus [&:focus-visible>rect]:stroke-2"
      >
        <line x1={x(at)} x2={x(at)} y1={STOCK[0]} y2={foot} className="stroke-accent" strokeWidth="2" />
        <rect x={x(at) - 6} y={4} width="12" height={STOCK[0] - 4} className="fill-accent" />
        <circle cx={x(at)} cy={cost(totals[at] ?? 0)} r="4" className="fill-accent" />
      </g>
    </svg>
  );
}

/** What is on its way of a part at a plant, by day. */
function coming(page: Page, plant: string, item: string): number[] {
  const byDay = new Array<number>(page.days.length).fill(0);
  const at = new Map(page.days.map(({ on }, day) => [on, day]));
  for (const one of page.documents) {
    if (one.item !== item || one.plant !== plant || (one.role !== 'goes' && one.role !== 'comes')) continue;
    const day = at.get(one.expected ?? '');
    if (day !== undefined) byDay[day] = (byDay[day] ?? 0) + Number(one.quantity);
  }
  return byDay;
}
