import { useRef, useState } from 'react';

/** A block of columns, first and last. */
export type Columns = [number, number];

export interface Block {
  /** The chosen columns; null stands for whole rows. */
  columns: Columns | null;
  clear: () => void;
  /** Shift with an arrow sideways: one column more, or one less. */
  widen: (by: 1 | -1) => void;
  /** What a cell needs so that dragging over cells chooses a block. */
  cell: (
    row: number,
    column: number,
  ) => { onPointerDown: (event: React.PointerEvent) => void; onPointerEnter: () => void };
}

/** Chooses cells as in a spreadsheet, by dragging over them or by Shift and the arrows. */
export function useBlock(last: number, onRow: (row: number, extend: boolean) => void): Block {
  const [columns, setColumns] = useState<Columns | null>(null);
  const from = useRef<{ row: number; column: number } | null>(null);
  return {
    columns,
    clear: () => setColumns(null),
    widen: (by) =>
      setColumns((was) => {
        if (was === null) return by === 1 ? [0, 0] : [0, last];
        const end = Math.max(was[0], Math.min(last, was[1] + by));
        return [was[0], end];
      }),
    cell: (row, column) => ({
      onPointerDown: (event) => {
        if (event.button !== 0 || event.shiftKey || (event.target as HTMLElement).closest('a,button')) return;
        from.current = { row, column };
        setColumns(null);
        window.addEventListener('pointerup', () => (from.current = null), { once: true });
      },
      onPointerEnter: () => {
        const began = from.current;
        if (began === null || (began.row === row && began.column === column)) return;
        // What is dragged over are cells, not letters.
        window.getSelection()?.removeAllRanges();
        setColumns([Math.min(began.column, column), Math.max(began.column, column)]);
        onRow(row, true);
      },
    }),
  };
}
