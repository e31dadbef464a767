import { useEffect, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { Scene, type Body, type Point, type Section } from './Scene';

interface Props {
  bodies: Body[];
  /** Two models are set into one picture. */
  compared: boolean;
  /** Somebody has pressed a body, or beside all of them. */
  onPick: (key: string | null) => void;
}

const VIEWS: [string, string, Point][] = [
  ['Front', '1', [0, -1, 0]],
  ['Right', '2', [1, 0, 0]],
  ['Top', '3', [0, -0.001, 1]],
  ['Oblique', '4', [1, -1.4, 0.9]],
];

const AXES = ['x', 'y', 'z'] as const;
const CUTS = { none: 'Whole', x: 'Cut along x', y: 'Cut along y', z: 'Cut along z' } as const;

const distance = (a: Point, b: Point) => Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]);
const mm = (value: number) => `${value.toFixed(2)} mm`;

/** Bodies in three dimensions: turned by pointer and by keys, cut, measured between two points. */
export function ModelView({ bodies, compared, onPick }: Props) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const scene = useRef<Scene>(null);
  const [section, setSection] = useState<Section | null>(null);
  const [points, setPoints] = useState<Point[] | null>(null);
  const pressed = useRef<{ x: number; y: number } | null>(null);

  useEffect(() => {
    const box = canvas.current;
    if (box === null) return;
    const made = new Scene(box);
    scene.current = made;
    const size = new ResizeObserver(() => made.resize());
    size.observe(box);
    return () => {
      size.disconnect();
      made.dispose();
      scene.current = null;
    };
  }, []);
  const wasEmpty = useRef(true);
  useEffect(() => {
    scene.current?.show(bodies);
    if (wasEmpty.current && bodies.length > 0) scene.current?.fit();
    wasEmpty.current = bodies.length === 0;
  }, [bodies]);
  useEffect(() => {
    // Light or dark.
    const seen = new MutationObserver(() => scene.current?.show(bodies));
    seen.observe(document.documentElement, { attributeFilter: ['data-theme'] });
    return () => seen.disconnect();
  }, [bodies]);
  useEffect(() => scene.current?.section(section), [section]);
  useEffect(() => scene.current?.measure(points ?? []), [points]);

  const placeOf = (event: PointerEvent) => ({ x: event.nativeEvent.offsetX, y: event.nativeEvent.offsetY });
  const onUp = (event: PointerEvent) => {
    const { x, y } = placeOf(event);
    const from = pressed.current;
    // Whoever turns it has not pressed anything.
    if (from === null || Math.hypot(from.x - x, from.y - y) > 4) return;
    const hit = scene.current?.pick(x, y) ?? null;
    if (points === null) onPick(hit?.key ?? null);
    else if (hit !== null) setPoints(points.length > 1 ? [hit.at] : [...points, hit.at]);
  };
  const keys: Record<string, () => void> = {
    ArrowLeft: () => scene.current?.turn(-1, 0),
    ArrowRight: () => scene.current?.turn(1, 0),
    ArrowUp: () => scene.current?.turn(0, -1),
    ArrowDown: () => scene.current?.turn(0, 1),
    '+': () => scene.current?.zoom(1),
    '-': () => scene.current?.zoom(-1),
    '0': () => scene.current?.fit(),
    ...Object.fromEntries(VIEWS.map(([, key, from]) => [key, () => scene.current?.fit(from)])),
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const does = event.ctrlKey || event.metaKey || event.altKey ? undefined : keys[event.key];
    if (does === undefined) return;
    event.preventDefault();
    does();
  };
  const [first, second] = points ?? [];
  return (
    <div className="flex min-w-0 flex-col border border-strong bg-well">
      <div className="no-print flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-rule bg-sheet px-2 py-1">
        <span role="group" aria-label="Seen from" className="flex flex-wrap gap-1">
          {VIEWS.map(([name, key, from]) => (
            <Button key={key} look="quiet" className="!h-7" title={key} onClick={() => scene.current?.fit(from)}>
              {name}
            </Button>
          ))}
        </span>
        <label className="inline-flex min-h-7 items-center gap-1.5 text-sm">
          <input
            type="checkbox"
            checked={points !== null}
            onChange={(event) => setPoints(event.target.checked ? [] : null)}
          />
          Measure
        </label>
        <Choice
          label="Section"
          value={section === null ? 'none' : AXES[section.axis]}
          options={CUTS}
          onChange={(axis) =>
            setSection(axis === 'none' ? null : { axis: AXES.indexOf(axis) as Section['axis'], at: section?.at ?? 0.5 })
          }
        />
        {section !== null && (
          <input
            type="range"
            aria-label="Where it is cut"
            min={0}
            max={100}
            value={Math.round(section.at * 100)}
            onChange={(event) => setSection({ ...section, at: Number(event.target.value) / 100 })}
          />
        )}
        <span role="status" className="text-sm text-soft">
          {points !== null &&
            (first === undefined
              ? 'Press the first point.'
              : second === undefined
                ? 'Press the second point.'
                : `${mm(distance(first, second))} (x ${mm(Math.abs(first[0] - second[0]))}, y ${mm(
                    Math.abs(first[1] - second[1]),
                  )}, z ${mm(Math.abs(first[2] - second[2]))})`)}
        </span>
      </div>
      <canvas
        ref={canvas}
        role="img"
        aria-label="Model: arrows turn it, plus and minus enlarge, 0 shows all of it, 1 to 4 show it from front, right, top and obliquely"
        tabIndex={0}
        className="h-[min(34rem,calc(100vh-17rem))] min-h-72 w-full touch-none"
        onPointerDown={(event) => {
          pressed.current = placeOf(event);
        }}
        onPointerUp={onUp}
        onKeyDown={onKeyDown}
      />
      {compared && (
        <p className="border-t border-rule bg-sheet px-2 py-1 text-sm text-soft">
          Solid: as it is now (<span className="text-accent">added</span>, <span className="text-warn">changed</span>,{' '}
          <span className="text-plum">moved</span>). Dashed: as it was (<span className="text-alarm">removed</span>, or
          the place and shape before). Pale: unchanged.
        </p>
      )}
    </div>
  );
}
