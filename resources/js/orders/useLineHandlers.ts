import { useLayoutEffect, useRef, useState, type DragEvent } from 'react';
import type { RedlineRow } from './useRedline';

/** What lines tell their grid. */
export interface LineHandlers {
  onCommit: (row: RedlineRow, text: string, next: 'down' | 'right' | 'stay', rowAt: number, fieldAt: number) => void;
  onCancel: (rowAt: number, fieldAt: number) => void;
  onRemove: (row: RedlineRow) => void;
  onDrag: (event: DragEvent, row: RedlineRow, rowAt: number) => void;
  onDragOver: (event: DragEvent<HTMLTableRowElement>, rowAt: number) => void;
  onDrop: (event: DragEvent<HTMLTableRowElement>, row: RedlineRow) => void;
  onDragEnd: () => void;
}

/** The same functions from drawing to drawing, whatever they do by now: so a line is drawn anew only when it has changed. */
export function useLineHandlers(latest: LineHandlers): LineHandlers {
  const held = useRef(latest);
  useLayoutEffect(() => {
    held.current = latest;
  });
  const [handlers] = useState((): LineHandlers => ({
    onCommit: (...told) => held.current.onCommit(...told),
    onCancel: (...told) => held.current.onCancel(...told),
    onRemove: (...told) => held.current.onRemove(...told),
    onDrag: (...told) => held.current.onDrag(...told),
    onDragOver: (...told) => held.current.onDragOver(...told),
    onDrop: (...told) => held.current.onDrop(...told),
    onDragEnd: () => held.current.onDragEnd(),
  }));
  return handlers;
}
