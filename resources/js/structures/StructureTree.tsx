import { useQueries } from '@tanstack/react-query';
import clsx from 'clsx';
import { useRef, useState, type KeyboardEvent } from 'react';
import { useNavigate } from 'react-router';
import type { Schemas } from '../lib/api';
import { day, quantity } from '../lib/format';
import { queries } from '../lib/queries';
import { ItemNumber } from '../ui/Num';
import { Status } from '../ui/Status';

type Page = Schemas['StructurePage'];
type Row = Schemas['StructureRow'];

interface Flat {
  path: string;
  level: number;
  row: Row;
}

/** The lines of a structure as a tree that opens level by level (tree grid of the ARIA authoring practices). */
export function StructureTree({ page, unreleased }: { page: Page; unreleased: boolean }) {
  const [open, setOpen] = useState<ReadonlySet<string>>(new Set());
  const [active, setActive] = useState(0);
  const body = useRef<HTMLTableSectionElement>(null);
  const navigate = useNavigate();
  const numbers = [...new Set([...open].map((path) => path.split('/').at(-1) ?? ''))];
  const below = useQueries({
    queries: numbers.map((number) => queries.structure(number, { on: page.on, kind: page.kind })),
  });
  const pages = new Map(below.flatMap((query) => (query.data ? [[query.data.number, query.data] as const] : [])));

  const rows: Flat[] = [];
  const add = (lines: Row[], level: number, above: string) => {
    for (const row of lines) {
      const path = `${above}/${row.line.key}/${row.item.number}`;
      rows.push({ path, level, row });
      const inside = open.has(path) ? pages.get(row.item.number) : undefined;
      if (inside) add(inside.rows, level + 1, path);
    }
  };
  add(page.rows, 1, '');

  const turn = (path: string, wanted: boolean) =>
    setOpen((before) => {
      const next = new Set(before);
      if (wanted) next.add(path);
      else next.delete(path);
      return next;
    });
  const move = (to: number) => {
    const next = Math.max(0, Math.min(rows.length - 1, to));
    setActive(next);
    body.current?.rows[next]?.focus();
  };
  const onKey = (event: KeyboardEvent<HTMLTableRowElement>, flat: Flat, index: number) => {
    if (event.target !== event.currentTarget) return;
    const isOpen = open.has(flat.path);
    const acts: Record<string, () => void> = {
      ArrowDown: () => move(index + 1),
      ArrowUp: () => move(index - 1),
      Home: () => move(0),
      End: () => move(rows.length - 1),
      ArrowRight: () => (flat.row.opens && !isOpen ? turn(flat.path, true) : move(index + 1)),
      ArrowLeft: () =>
        isOpen ? turn(flat.path, false) : move(rows.slice(0, index).findLastIndex((one) => one.level < flat.level)),
      Enter: () => void navigate(`/items/${flat.row.item.number}`),
    };
    const act = acts[event.key];
    if (act) {
      event.preventDefault();
      act();
    }
  };

  if (page.rows.length === 0) {
    return (
      <p className="border-b border-rule py-3 text-soft">
        {page.revision === null
          ? unreleased
            ? 'This item has no released revision yet, so it has no structure.'
            : 'No revision was in effect on that day. Move along the ruler to a mark.'
          : 'It has no lines: it is not made of anything recorded here.'}
      </p>
    );
  }

  return (
    <div className="overflow-x-auto">
      {/* A table in which rows open is a tree grid. */}
      {/* eslint-disable-next-line jsx-a11y/no-noninteractive-element-to-interactive-role */}
      <table role="treegrid" aria-label="Lines" className="w-full border-collapse border-b border-strong bg-sheet">
        <thead>
          <tr className="border-b border-strong text-left text-sm text-soft">
            <th className="px-2 py-1 font-medium">Find</th>
            <th className="px-2 py-1 font-medium">Component</th>
            <th className="px-2 py-1 font-medium">Title</th>
            <th className="px-2 py-1 text-right font-medium">Quantity</th>
            <th className="px-2 py-1 font-medium">Unit</th>
            <th className="px-2 py-1 font-medium">Status</th>
            <th className="px-2 py-1 font-medium">Designators, notes</th>
          </tr>
        </thead>
        <tbody ref={body}>
          {rows.map((flat, index) => {
            const { line, item, opens } = flat.row;
            const isOpen = open.has(flat.path);
            return (
              <tr
                key={flat.path}
                aria-level={flat.level}
                aria-expanded={opens ? isOpen : undefined}
                tabIndex={index === Math.min(active, rows.length - 1) ? 0 : -1}
                onKeyDown={(event) => onKey(event, flat, index)}
                onFocus={() => setActive(index)}
                className={clsx('border-b border-rule align-baseline -outline-offset-2', flat.level > 1 && 'bg-paper')}
              >
                <td className="px-2 py-1" style={{ paddingLeft: `${0.5 + (flat.level - 1) * 1.1}rem` }}>
                  <span className="inline-block w-4">
                    {opens && (
                      <button
                        type="button"
                        tabIndex={-1}
                        aria-label={isOpen ? `Close ${item.number}` : `Open ${item.number}`}
                        onClick={() => turn(flat.path, !isOpen)}
                        className="text-soft hover:text-ink"
                      >
                        {isOpen ? '▾' : '▸'}
                      </button>
                    )}
                  </span>
                  {line.find}
                </td>
                <td className="px-2 py-1 whitespace-nowrap">
                  <ItemNumber number={item.number} />
                </td>
                <td className="px-2 py-1">{item.title}</td>
                <td className="px-2 py-1 text-right">{quantity(line.quantity)}</td>
                <td className="px-2 py-1">{line.unit}</td>
                <td className="px-2 py-1">
                  <Status status={item.status} revision={item.revision} revisedBy={item.being_revised_by} />
                </td>
                <td className="px-2 py-1 text-sm">
                  {[
                    line.designators,
                    line.notes,
                    line.not_modelled ? 'never drawn' : '',
                    line.first_day ? `from ${day(line.first_day)}` : '',
                    line.last_day ? `until ${day(line.last_day)}` : '',
                  ]
                    .filter(Boolean)
                    .join(' · ')}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}
