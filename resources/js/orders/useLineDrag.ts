import { useState, type DragEvent } from 'react';
import type { LineEdit, RedlineRow } from './useRedline';

/** What is dragged within a grid of lines: nothing that anything else could take. */
const TYPE = 'application/x-redline-rows';

/** The edits that put lines above or below another one, or why there are none. */
export type DropLines = (lines: RedlineRow[], onto: RedlineRow, side: 'above' | 'below') => LineEdit[] | string;

/** Lines that are dragged to another place of their structure: the one that is taken, or all that are marked when it is one of them. */
export function useLineDrag(
  marked: (rowAt: number) => RedlineRow[] | null,
  onDrop: (done: LineEdit[] | string) => void,
) {
  const [carried, setCarried] = useState<RedlineRow[]>([]);
  const [over, setOver] = useState<{ row: number; side: 'above' | 'below' } | null>(null);
  const end = () => {
    setCarried([]);
    setOver(null);
  };
  return {
    over,
    onDrag: (event: DragEvent, row: RedlineRow, rowAt: number) => {
      event.dataTransfer.setData(TYPE, row.key);
      event.dataTransfer.effectAllowed = 'move';
      setCarried(marked(rowAt) ?? [row]);
    },
    onDragOver: (event: DragEvent<HTMLTableRowElement>, rowAt: number) => {
      if (carried.length === 0 || !event.dataTransfer.types.includes(TYPE)) return;
      event.preventDefault();
      const { top, height } = event.currentTarget.getBoundingClientRect();
      const side = event.clientY < top + height / 2 ? 'above' : 'below';
      if (over?.row !== rowAt || over.side !== side) setOver({ row: rowAt, side });
    },
    onDrop: (event: DragEvent<HTMLTableRowElement>, row: RedlineRow, drop: DropLines) => {
      if (carried.length === 0) return;
      event.preventDefault();
      const { top, height } = event.currentTarget.getBoundingClientRect();
      const side = event.clientY < top + height / 2 ? 'above' : 'below';
      end();
      if (!carried.some(({ key }) => key === row.key)) onDrop(drop(carried, row, side));
    },
    onDragEnd: end,
  };
}
