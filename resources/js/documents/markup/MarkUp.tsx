import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import type { Schemas } from '../../lib/api';
import { day, today } from '../../lib/format';
import { useMe } from '../../lib/session';
import { useDraft } from '../../lib/useDraft';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { Input } from '../../ui/Input';
import { download } from '../../lib/download';
import { inTheMiddle, moved, tools, type Mark, type Tool } from './marks';
import { MarksDrawn } from './MarksDrawn';
import { pdfOf, pngOf, type Raster } from './raster';
import { SaveMarkUp } from './SaveMarkUp';

interface Props {
  item: string;
  file: Schemas['FileRow'];
  sheet: Raster & { pages: number };
  page: number;
  onPage: (page: number) => void;
}

const STEP = 10;

export function MarkUp({ item, file, sheet, page, onPage }: Props) {
  const me = useMe();
  const svg = useRef<SVGSVGElement>(null);
  const [tool, setTool] = useState<Tool>('cloud');
  const [text, setText] = useState('');
  const [drawing, setDrawing] = useState<Mark | null>(null);
  const [chosen, setChosen] = useState<number | null>(null);
  const draft = useDraft<{ marks: Mark[] }>(`mark-up ${file.id} ${page}`, { marks: [] });
  const { marks } = draft.value;
  const set = (next: Mark[]) => draft.change({ marks: next });
  const wordy = tool === 'text' || tool === 'dimension';
  const caption = `Mark-up of ${item}, ${file.revision === null ? 'draft' : `revision ${file.revision}`}, page ${page} · ${me.name}, ${day(today())} · The sheet itself is unchanged`;
  const name = `mark-up-${item}-${file.revision ?? 'draft'}`;

  const place = (event: PointerEvent) => {
    const matrix = svg.current?.getScreenCTM()?.inverse();
    const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix);
    return { x: Math.round(x * 10) / 10, y: Math.round(y * 10) / 10 };
  };
  const begin = (event: PointerEvent) => {
    event.currentTarget.setPointerCapture(event.pointerId);
    const point = place(event);
    setDrawing({ tool, points: tool === 'text' ? [point] : [point, point], text: wordy ? text : '' });
  };
  const draw = (event: PointerEvent) => {
    if (!drawing || tool === 'text') return;
    const point = place(event);
    setDrawing({
      ...drawing,
      points: tool === 'freehand' ? [...drawing.points, point] : [drawing.points[0] ?? point, point],
    });
  };
  const end = () => {
    if (!drawing) return;
    const [from, to] = [drawing.points[0], drawing.points[drawing.points.length - 1]];
    const far = from && to ? Math.hypot(to.x - from.x, to.y - from.y) > 4 || drawing.points.length > 4 : false;
    // A slip of the hand leaves no mark, nor does a note without words.
    if (tool === 'text' ? text.trim() !== '' : far) {
      set([...marks, drawing]);
      setChosen(marks.length);
    }
    setDrawing(null);
  };
  const onKey = (event: KeyboardEvent) => {
    const by = { ArrowLeft: [-STEP, 0], ArrowRight: [STEP, 0], ArrowUp: [0, -STEP], ArrowDown: [0, STEP] }[event.key];
    if (chosen === null) return;
    if (by) {
      event.preventDefault();
      set(marks.map((mark, i) => (i === chosen ? moved(mark, by[0] ?? 0, by[1] ?? 0) : mark)));
    } else if (event.key === 'Delete') {
      set(marks.filter((_, i) => i !== chosen));
      setChosen(null);
    }
  };
  const source = () => new XMLSerializer().serializeToString(svg.current as SVGSVGElement);
  const png = () => pngOf(source(), sheet.width, sheet.height + 40);

  return (
    <div className="grid gap-6 print:block xl:grid-cols-[minmax(0,1fr)_20rem]">
      <div>
        <div role="toolbar" aria-label="Mark-up" className="no-print mb-2 flex flex-wrap items-center gap-2">
          {(Object.keys(tools) as Tool[]).map((one) => (
            <Button
              key={one}
              aria-pressed={tool === one}
              look={tool === one ? 'main' : 'plain'}
              onClick={() => setTool(one)}
            >
              {tools[one]}
            </Button>
          ))}
          <Button disabled={marks.length === 0} onClick={() => set(marks.slice(0, -1))}>
            Undo
          </Button>
          {sheet.pages > 1 && (
            <span className="flex items-center gap-2">
              <Button disabled={page === 1} onClick={() => onPage(page - 1)}>
                Previous page
              </Button>
              Page {page} of {sheet.pages}
              <Button disabled={page === sheet.pages} onClick={() => onPage(page + 1)}>
                Next page
              </Button>
            </span>
          )}
        </div>
        <svg
          ref={svg}
          xmlns="http://www.w3.org/2000/svg"
          viewBox={`0 0 ${sheet.width} ${sheet.height + 40}`}
          width={sheet.width}
          height={sheet.height + 40}
          role="img"
          aria-label={`${item} with ${marks.length} marks`}
          className="sheet-frame h-auto w-full cursor-crosshair touch-none border border-strong bg-white"
          onPointerDown={begin}
          onPointerMove={draw}
          onPointerUp={end}
          onPointerCancel={() => setDrawing(null)}
        >
          <rect width={sheet.width} height={sheet.height + 40} fill="#ffffff" />
          <image href={sheet.image} width={sheet.width} height={sheet.height} />
          <MarksDrawn marks={drawing ? [...marks, drawing] : marks} />
          <text x={12} y={sheet.height + 26} fontSize={18} fontFamily="sans-serif" fill="#333333">
            {caption}
          </text>
        </svg>
      </div>
      <div className="no-print space-y-5">
        {wordy && (
          <Field
            label={tool === 'text' ? 'Text of the note' : 'Text of the dimension'}
            hint="Then draw, or place it in the middle"
          >
            <Input value={text} onChange={(event) => setText(event.target.value)} />
          </Field>
        )}
        <Button
          onClick={() => {
            set([...marks, inTheMiddle(tool, wordy ? text : '', sheet.width, sheet.height)]);
            setChosen(marks.length);
          }}
        >
          Place in the middle
        </Button>
        {marks.length > 0 && (
          <section aria-label="Marks">
            <h2 className="mb-1 text-base">Marks</h2>
            <p className="mb-1 text-sm text-soft">Arrows move the chosen one, Delete takes it away.</p>
            <ul className="border-y border-strong bg-sheet text-sm">
              {marks.map((mark, at) => (
                // Marks are told apart by their order; nothing else of them lasts.
                <li key={at} className="border-t border-rule first:border-t-0">
                  <button
                    type="button"
                    aria-pressed={chosen === at}
                    className={`w-full px-2 py-1 text-left ${chosen === at ? 'bg-accent-soft' : ''}`}
                    onClick={() => setChosen(at)}
                    onFocus={() => setChosen(at)}
                    onKeyDown={onKey}
                  >
                    {at + 1} {tools[mark.tool]} {mark.text}
                  </button>
                </li>
              ))}
            </ul>
          </section>
        )}
        <SaveMarkUp item={item} name={name} empty={marks.length === 0} svg={source} onSaved={draft.clear} />
        <section aria-label="Download" className="flex flex-wrap gap-2">
          <Button onClick={() => void png().then((blob) => download(`${name}.png`, blob))}>PNG</Button>
          <Button
            onClick={() =>
              void png()
                .then((blob) => pdfOf(blob, sheet.width, sheet.height + 40))
                .then((blob) => download(`${name}.pdf`, blob))
            }
          >
            PDF
          </Button>
          <Button onClick={() => window.print()}>Print</Button>
        </section>
      </div>
    </div>
  );
}
