import { useEffect, useRef, useState, type KeyboardEvent, type PointerEvent, type ReactNode } from 'react';
import { Button } from '../ui/Button';

interface Place {
  scale: number;
  x: number;
  y: number;
}

/** Part of what is shown, in shares of it. */
export interface Part {
  left: number;
  top: number;
  width: number;
  height: number;
}

interface Props {
  /** What is shown, side by side: moved and enlarged together. */
  panes: { label: string; show: (scale: number) => ReactNode }[];
  /** Stands beside what enlarges. */
  tools?: ReactNode;
  /** What further keys do. */
  keys?: Record<string, () => void>;
  /** Leads to a part, as a new value each time. */
  goTo?: Part | null;
}

const WHOLE: Place = { scale: 1, x: 0, y: 0 };
const STEP = 1.25;
const [LEAST, MOST] = [0.25, 12];

/** Frames in which something is moved and enlarged, by pointer and by keys. */
export function PanFrame({ panes, tools, keys, goTo }: Props) {
  const [place, setPlace] = useState(WHOLE);
  const frames = useRef<HTMLDivElement>(null);
  const held = useRef<{ x: number; y: number } | null>(null);
  const zoom = (by: number) =>
    setPlace((was) => {
      const scale = Math.min(MOST, Math.max(LEAST, was.scale * by));
      const { width, height } = sizeOf(frames.current);
      const ratio = scale / was.scale;
      return { scale, x: width / 2 - (width / 2 - was.x) * ratio, y: height / 2 - (height / 2 - was.y) * ratio };
    });
  const pan = (x: number, y: number) => setPlace((was) => ({ ...was, x: was.x + x, y: was.y + y }));

  useEffect(() => {
    const box = frames.current;
    if (!box) return;
    const onWheel = (event: WheelEvent) => {
      // The page scrolls as ever; with the key held, what is shown grows.
      if (!event.ctrlKey && !event.metaKey) return;
      event.preventDefault();
      zoom(event.deltaY < 0 ? STEP : 1 / STEP);
    };
    box.addEventListener('wheel', onWheel, { passive: false });
    return () => box.removeEventListener('wheel', onWheel);
  }, []);

  useEffect(() => {
    const shown = frames.current?.firstElementChild?.firstElementChild;
    if (!goTo || !(shown instanceof HTMLElement)) return;
    const { width, height } = sizeOf(frames.current);
    const [whole, high] = [shown.offsetWidth, shown.offsetHeight];
    // A third of the frame at most: what is around it tells where one is.
    const fits = Math.min(width / (goTo.width * whole), height / (goTo.height * high)) / 3;
    const scale = Math.min(5, Math.max(1, fits));
    setPlace({
      scale,
      x: width / 2 - (goTo.left + goTo.width / 2) * whole * scale,
      y: height / 2 - (goTo.top + goTo.height / 2) * high * scale,
    });
  }, [goTo]);

  const onKey = (event: KeyboardEvent) => {
    const acts: Record<string, () => void> = {
      '+': () => zoom(STEP),
      '=': () => zoom(STEP),
      '-': () => zoom(1 / STEP),
      '0': () => setPlace(WHOLE),
      ArrowLeft: () => pan(60, 0),
      ArrowRight: () => pan(-60, 0),
      ArrowUp: () => pan(0, 60),
      ArrowDown: () => pan(0, -60),
      ...keys,
    };
    const act = event.ctrlKey || event.metaKey ? undefined : acts[event.key];
    if (!act) return;
    event.preventDefault();
    event.stopPropagation();
    act();
  };
  const onMove = (event: PointerEvent) => {
    if (!held.current) return;
    pan(event.clientX - held.current.x, event.clientY - held.current.y);
    held.current = { x: event.clientX, y: event.clientY };
  };
  const release = () => {
    held.current = null;
  };

  return (
    <div>
      <div role="toolbar" aria-label="Sheet" className="no-print mb-2 flex flex-wrap items-center gap-2">
        <Button aria-label="Smaller" onClick={() => zoom(1 / STEP)}>
          −
        </Button>
        <Button aria-label="Larger" onClick={() => zoom(STEP)}>
          +
        </Button>
        <Button onClick={() => setPlace(WHOLE)}>Fit width</Button>
        <span role="status" className="w-14 text-right text-sm text-soft">
          {Math.round(place.scale * 100)} %
        </span>
        {tools}
      </div>
      <div ref={frames} className={panes.length > 1 ? 'grid grid-cols-2 gap-2' : ''}>
        {panes.map(({ label, show }) => (
          // What is moved by keys and by the pointer has to be reached by both.
          // eslint-disable-next-line jsx-a11y/no-noninteractive-element-interactions
          <div
            key={label}
            role="group"
            aria-label={`${label}: plus and minus enlarge, arrows move, 0 shows the whole width`}
            // eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex
            tabIndex={0}
            onKeyDown={onKey}
            onPointerDown={(event) => {
              held.current = { x: event.clientX, y: event.clientY };
              event.currentTarget.setPointerCapture(event.pointerId);
            }}
            onPointerMove={onMove}
            onPointerUp={release}
            onPointerCancel={release}
            className="sheet-frame relative cursor-grab touch-none overflow-hidden border border-strong bg-well active:cursor-grabbing"
          >
            <div
              style={{
                transform: `translate(${place.x}px, ${place.y}px) scale(${place.scale})`,
                transformOrigin: '0 0',
              }}
              className="relative"
            >
              {show(place.scale)}
            </div>
          </div>
        ))}
      </div>
    </div>
  );
}

/** Of one of the frames: they are all alike. */
function sizeOf(frames: HTMLElement | null) {
  const frame = frames?.firstElementChild;
  return { width: frame?.clientWidth ?? 0, height: frame?.clientHeight ?? 0 };
}
