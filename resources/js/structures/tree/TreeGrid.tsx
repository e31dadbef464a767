import clsx from 'clsx';
import { useRef, type KeyboardEvent } from 'react';
import { useNavigate } from 'react-router';
import { day, quantity } from '../../lib/format';
import { useWindow } from '../../lib/useWindow';
import { Mark } from '../../ui/Mark';
import { ChangeNumber, ItemNumber } from '../../ui/Num';
import { Status } from '../../ui/Status';
import { toTabs } from '../../ui/tableText';
import { useBlock } from '../../lib/useBlock';
import { isOpen, matches, type Openness, type TreeRow } from './treeRows';

interface Props {
  rows: TreeRow[];
  openness: Openness;
  onTurn: (path: string, open: boolean) => void;
  words: string;
  active: number;
  anchor: number;
  onActive: (row: number, extend: boolean) => void;
}

const ROW = 29;

function remarks({ line }: TreeRow): string {
  return [
    line.designators,
    line.notes,
    line.not_modelled ? 'not modelled' : '',
    line.phantom ? 'phantom' : '',
    line.first_day ? `from ${day(line.first_day)}` : '',
    line.last_day ? `until ${day(line.last_day)}` : '',
  ]
    .filter(Boolean)
    .join(' · ');
}

/** How a block is copied out, a cell to a column: those on screen, in their order. */
const copied = [
  { head: 'Find', text: (row: TreeRow) => String(row.line.find) },
  { head: 'Component', text: (row: TreeRow) => row.item.number },
  { head: 'Title', text: (row: TreeRow) => row.item.title },
  { head: 'Revision', text: (row: TreeRow) => row.revision ?? '' },
  { head: 'Quantity', text: (row: TreeRow) => row.line.quantity },
  { head: 'Unit', text: (row: TreeRow) => row.line.unit },
  { head: 'Extended', text: (row: TreeRow) => row.extended },
  { head: 'Designators, notes', text: remarks },
];

/** Whole rows say their level as well, and designators and notes apart. */
const whole = [
  { head: 'Level', text: (row: TreeRow) => String(row.level) },
  ...copied.slice(0, -1),
  { head: 'Designators', text: (row: TreeRow) => row.line.designators },
  { head: 'Notes', text: (row: TreeRow) => row.line.notes },
];

/** The lines of a structure as a tree grid of any length: only what is in sight is drawn. */
export function TreeGrid({ rows, openness, onTurn, words, active, anchor, onActive }: Props) {
  const { scroller, first, end, show } = useWindow(rows.length, ROW);
  const body = useRef<HTMLTableSectionElement>(null);
  const frame = useRef(0);
  const navigate = useNavigate();
  const current = Math.min(active, rows.length - 1);
  const [from, to] = [Math.min(anchor, current), Math.max(anchor, current)];
  const wanted = words.trim().toLowerCase();
  const block = useBlock(copied.length - 1, onActive);
  const inBlock = (row: number, column: number) =>
    block.columns !== null && row >= from && row <= to && column >= block.columns[0] && column <= block.columns[1];

  const move = (row: number, extend: boolean) => {
    const next = Math.max(0, Math.min(rows.length - 1, row));
    onActive(next, extend);
    show(next);
    // The row may only now be drawn. Of several quick moves only the last takes the focus along.
    cancelAnimationFrame(frame.current);
    frame.current = requestAnimationFrame(() =>
      body.current?.querySelector<HTMLElement>(`[aria-rowindex="${next + 2}"]`)?.focus({ preventScroll: true }),
    );
  };
  const onKey = (event: KeyboardEvent<HTMLTableRowElement>) => {
    // Where somebody is quick, the focus has not followed yet: what counts is the row that is active.
    const at = current;
    const row = rows[at];
    if (event.target !== event.currentTarget || !row) return;
    const open = isOpen(row, openness);
    if (event.shiftKey && (event.key === 'ArrowRight' || event.key === 'ArrowLeft')) {
      event.preventDefault();
      block.widen(event.key === 'ArrowRight' ? 1 : -1);
      return;
    }
    const acts: Record<string, () => void> = {
      ArrowDown: () => move(at + 1, event.shiftKey),
      ArrowUp: () => move(at - 1, event.shiftKey),
      PageDown: () => move(at + 15, event.shiftKey),
      PageUp: () => move(at - 15, event.shiftKey),
      Home: () => move(0, event.shiftKey),
      End: () => move(rows.length - 1, event.shiftKey),
      ArrowRight: () => (row.opens && !open ? onTurn(row.path, true) : move(at + 1, false)),
      ArrowLeft: () =>
        open
          ? onTurn(row.path, false)
          : move(
              rows.slice(0, at).findLastIndex((one) => one.level < row.level),
              false,
            ),
      Escape: block.clear,
      Enter: () => void navigate(`/items/${row.item.number}`),
    };
    const act = acts[event.key];
    if (act) {
      event.preventDefault();
      act();
    } else if (
      event.key.toLowerCase() === 'c' &&
      (event.ctrlKey || event.metaKey) &&
      !window.getSelection()?.toString()
    ) {
      event.preventDefault();
      void navigator.clipboard.writeText(
        toTabs(
          block.columns === null ? whole : copied.slice(block.columns[0], block.columns[1] + 1),
          rows.slice(from, to + 1),
        ),
      );
    }
  };

  return (
    <div
      ref={scroller}
      className="max-h-[calc(100vh-9rem)] min-h-24 overflow-auto print:max-h-none border-b border-strong bg-sheet"
    >
      {/* A table in which rows open is a tree grid. */}
      {/* eslint-disable-next-line jsx-a11y/no-noninteractive-element-to-interactive-role */}
      <table role="treegrid" aria-label="Lines" aria-rowcount={rows.length + 1} className="w-full border-collapse">
        <thead>
          <tr
            aria-rowindex={1}
            className="sticky top-0 z-10 bg-sheet text-left text-sm text-soft shadow-[inset_0_-1px_var(--rule-strong)]"
          >
            {['Find', 'Component', 'Title', 'Revision'].map((head) => (
              <th key={head} className="px-2 py-1 font-medium">
                {head}
              </th>
            ))}
            <th className="px-2 py-1 text-right font-medium">Quantity</th>
            <th className="px-2 py-1 font-medium">Unit</th>
            <th className="px-2 py-1 text-right font-medium">Extended</th>
            <th className="px-2 py-1 font-medium">Designators, notes</th>
          </tr>
        </thead>
        <tbody ref={body}>
          {first > 0 && <tr aria-hidden style={{ height: first * ROW }} />}
          {rows.slice(first, end).map((row, offset) => {
            const at = first + offset;
            const open = isOpen(row, openness);
            return (
              <tr
                key={row.path}
                aria-rowindex={at + 2}
                aria-level={row.level}
                aria-expanded={row.opens ? open : undefined}
                aria-selected={at >= from && at <= to}
                tabIndex={at === current ? 0 : -1}
                onKeyDown={onKey}
                onFocus={(event) => {
                  // A window that gets the focus back gives it to the row it was on: what is marked stays marked.
                  if (event.target === event.currentTarget && (at < from || at > to)) onActive(at, false);
                }}
                onClick={(event) => onActive(at, event.shiftKey)}
                style={{ height: ROW }}
                className={clsx(
                  'border-b border-rule -outline-offset-2',
                  row.level > 1 && 'bg-paper',
                  from !== to && block.columns === null && at >= from && at <= to && '!bg-accent-soft',
                  !row.holds && 'text-soft line-through decoration-1',
                  row.mark && `mark-${row.mark}`,
                )}
              >
                <td
                  {...block.cell(at, 0)}
                  className={clsx('px-2 whitespace-nowrap', inBlock(at, 0) && 'bg-accent-soft')}
                  style={{ paddingLeft: `${0.5 + (row.level - 1) * 0.9}rem` }}
                >
                  <span className="inline-block w-4">
                    {row.opens && (
                      <button
                        type="button"
                        tabIndex={-1}
                        aria-label={open ? `Close ${row.item.number}` : `Open ${row.item.number}`}
                        onClick={() => onTurn(row.path, !open)}
                        className="text-soft hover:text-ink"
                      >
                        {open ? '▾' : '▸'}
                      </button>
                    )}
                  </span>
                  {row.line.find}
                </td>
                <td
                  {...block.cell(at, 1)}
                  className={clsx('px-2 whitespace-nowrap', inBlock(at, 1) && 'bg-accent-soft')}
                >
                  <ItemNumber number={row.item.number} />
                </td>
                <td
                  {...block.cell(at, 2)}
                  className={clsx('max-w-64 truncate px-2', inBlock(at, 2) && 'bg-accent-soft')}
                  title={row.item.title}
                >
                  {wanted !== '' && matches(row, wanted) ? <mark>{row.item.title}</mark> : row.item.title}
                </td>
                <td
                  {...block.cell(at, 3)}
                  className={clsx('px-2 whitespace-nowrap', inBlock(at, 3) && 'bg-accent-soft')}
                >
                  <Status status={row.status} revision={row.revision} revisedBy={row.item.being_revised_by} />
                  {row.line.revision !== null && <span className="text-sm text-soft"> fixed on the line</span>}
                </td>
                <td {...block.cell(at, 4)} className={clsx('px-2 text-right', inBlock(at, 4) && 'bg-accent-soft')}>
                  {quantity(row.line.quantity)}
                </td>
                <td {...block.cell(at, 5)} className={clsx('px-2', inBlock(at, 5) && 'bg-accent-soft')}>
                  {row.line.unit}
                </td>
                <td
                  {...block.cell(at, 6)}
                  className={clsx('px-2 text-right text-soft', inBlock(at, 6) && 'bg-accent-soft')}
                >
                  {quantity(row.extended)}
                </td>
                <td
                  {...block.cell(at, 7)}
                  className={clsx('max-w-72 truncate px-2 text-sm', inBlock(at, 7) && 'bg-accent-soft')}
                  title={remarks(row)}
                >
                  {row.mark && row.order && (
                    <span className="mr-2">
                      <Mark value={row.mark} word /> by <ChangeNumber number={row.order} />
                    </span>
                  )}
                  {remarks(row)}
                </td>
              </tr>
            );
          })}
          {end < rows.length && <tr aria-hidden style={{ height: (rows.length - end) * ROW }} />}
        </tbody>
      </table>
    </div>
  );
}
