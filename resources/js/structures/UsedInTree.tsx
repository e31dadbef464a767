import type { Picture } from '../lib/words';
import { useQuery } from '@tanstack/react-query';
import { useId, useState, type KeyboardEvent } from 'react';
import type { Schemas } from '../lib/api';
import { usedQuantity } from '../lib/format';
import { queries } from '../lib/queries';
import { Loading } from '../ui/Loading';
import { ItemNumber } from '../ui/Num';

interface Props {
  number: string;
  query: BranchProps['query'];
}

/** Upward from an item, parent by parent: each branch is opened to see what uses it in turn. */
export function UsedInTree({ number, query }: Props) {
  // Arrows move over all rows that are in sight, whichever branch they belong to.
  const onKey = (event: KeyboardEvent<HTMLUListElement>) => {
    const rows = [...event.currentTarget.querySelectorAll<HTMLElement>('[role="treeitem"] > div')];
    const at = rows.indexOf(document.activeElement as HTMLElement);
    const to = { ArrowDown: at + 1, ArrowUp: at - 1, Home: 0, End: rows.length - 1 }[event.key];
    if (to === undefined) return;
    event.preventDefault();
    rows[Math.max(0, Math.min(rows.length - 1, to))]?.focus();
  };
  return (
    <ul
      role="tree"
      aria-label={`Where ${number} is used, upward`}
      onKeyDown={onKey}
      className="border-y border-strong bg-sheet text-sm"
    >
      <Branch number={number} query={query} level={1} />
    </ul>
  );
}

interface BranchProps {
  number: string;
  query: { on?: string } & Partial<Picture>;
  level: number;
}

function Branch({ number, query, level }: BranchProps) {
  const used = useQuery(queries.directlyUsed(number, query));
  return (
    <Loading query={used}>
      {({ rows }) =>
        rows.length === 0 ? (
          <li role="none" className="px-2 py-1 text-soft">
            Nothing uses {number} on that day.
          </li>
        ) : (
          rows.map((row) => <Parent key={`${row.item.number} ${row.revision}`} row={row} query={query} level={level} />)
        )
      }
    </Loading>
  );
}

function Parent({ row, query, level }: { row: Schemas['UsedInRow']; query: BranchProps['query']; level: number }) {
  const [open, setOpen] = useState(false);
  // Called by its own row alone, without all that is opened below it.
  const name = useId();
  const onKey = (event: KeyboardEvent) => {
    if (event.target !== event.currentTarget) return;
    const wanted = { ArrowRight: true, ArrowLeft: false }[event.key];
    if (wanted === undefined || row.top) return;
    event.preventDefault();
    setOpen(wanted);
  };
  return (
    <li
      role="treeitem"
      aria-labelledby={name}
      aria-level={level}
      aria-expanded={row.top ? undefined : open}
      aria-selected={false}
    >
      {/* The row takes the keys of its branch. */}
      {/* eslint-disable-next-line jsx-a11y/no-static-element-interactions */}
      <div
        // eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex
        tabIndex={0}
        onKeyDown={onKey}
        className="flex items-baseline gap-1.5 border-t border-rule px-1.5 py-1 -outline-offset-2"
        style={{ paddingLeft: `${0.4 + (level - 1) * 1.1}rem` }}
      >
        <span className="inline-block w-4 shrink-0">
          {!row.top && (
            <button
              type="button"
              tabIndex={-1}
              aria-label={open ? `Close ${row.item.number}` : `Open ${row.item.number}`}
              onClick={() => setOpen(!open)}
              className="text-soft hover:text-ink"
            >
              {open ? '▾' : '▸'}
            </button>
          )}
        </span>
        <span id={name} className="min-w-0 flex-1">
          <ItemNumber number={row.item.number} /> {row.item.title}
          {row.revision !== null && `, revision ${row.revision}`}
          {row.item.sold && <b className="font-semibold text-accent"> · sold</b>}
        </span>
        <span className="whitespace-nowrap">
          {usedQuantity(row.quantity)} {row.unit}
        </span>
      </div>
      {open && (
        <ul role="group">
          <Branch number={row.item.number} query={query} level={level + 1} />
        </ul>
      )}
    </li>
  );
}
