import { lazy, Suspense, useEffect, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import type { Schemas } from '../lib/api';
import { Button } from '../ui/Button';
import { Notice } from '../ui/Notice';
import { Stamp } from './Stamp';

const PdfPage = lazy(async () => ({ default: (await import('./PdfPage')).PdfPage }));

interface Props {
  file: Schemas['FileRow'];
  title: string;
  revision: Schemas['RevisionRow'] | undefined;
}

interface Place {
  scale: number;
  x: number;
  y: number;
}

const WHOLE: Place = { scale: 1, x: 0, y: 0 };
const STEP = 1.25;

/** A sheet one can move and enlarge, by pointer and by keys. A picture is drawn as a picture: scripts in it are never run. */
export function SheetFrame({ file, title, revision }: Props) {
  const [place, setPlace] = useState(WHOLE);
  const [page, setPage] = useState(1);
  const [pages, setPages] = useState(1);
  const [wrong, setWrong] = useState('');
  const frame = useRef<HTMLDivElement>(null);
  const held = useRef<{ x: number; y: number } | null>(null);
  const pdf = file.media_type === 'application/pdf';
  const zoom = (by: number) =>
    setPlace((was) => {
      const scale = Math.min(12, Math.max(0.25, was.scale * by));
      const box = frame.current?.getBoundingClientRect();
      const [cx, cy] = [(box?.width ?? 0) / 2, (box?.height ?? 0) / 2];
      const ratio = scale / was.scale;
      return { scale, x: cx - (cx - was.x) * ratio, y: cy - (cy - was.y) * ratio };
    });
  const pan = (x: number, y: number) => setPlace((was) => ({ ...was, x: was.x + x, y: was.y + y }));
  const turn = (to: number) => setPage(Math.max(1, Math.min(pages, to)));

  useEffect(() => {
    const box = frame.current;
    if (!box) return;
    const onWheel = (event: WheelEvent) => {
      // The page scrolls as ever; with the key held, the sheet grows.
      if (!event.ctrlKey && !event.metaKey) return;
      event.preventDefault();
      zoom(event.deltaY < 0 ? STEP : 1 / STEP);
    };
    box.addEventListener('wheel', onWheel, { passive: false });
    return () => box.removeEventListener('wheel', onWheel);
  }, []);

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
      PageDown: () => turn(page + 1),
      PageUp: () => turn(page - 1),
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
  const address = `/api/files/${file.id}`;

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
        {pages > 1 && (
          <span className="ml-4 flex items-center gap-2">
            <Button disabled={page === 1} onClick={() => turn(page - 1)}>
              Previous page
            </Button>
            <span role="status">
              Page {page} of {pages}
            </span>
            <Button disabled={page === pages} onClick={() => turn(page + 1)}>
              Next page
            </Button>
          </span>
        )}
        <span className="ml-auto flex items-center gap-4">
          <button type="button" className="text-accent hover:underline" onClick={() => window.print()}>
            Print with history
          </button>
          <a href={address} download className="text-accent hover:underline">
            Download
          </a>
        </span>
      </div>
      {wrong !== '' && <Notice look="alarm">{wrong}</Notice>}
      {/* What is moved by keys and by the pointer has to be reached by both. */}
      {/* eslint-disable-next-line jsx-a11y/no-noninteractive-element-interactions */}
      <div
        ref={frame}
        role="group"
        aria-label={`${title}: plus and minus enlarge, arrows move, 0 shows the whole width`}
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
          {pdf ? (
            <Suspense fallback={<p className="p-6 text-soft">Reading the file</p>}>
              <PdfPage address={address} page={page} scale={place.scale} onPages={setPages} onWrong={setWrong} />
            </Suspense>
          ) : (
            <img src={address} alt={title} draggable={false} className="block w-full bg-white" />
          )}
          <Stamp file={file} revision={revision} />
        </div>
      </div>
    </div>
  );
}
