import type { FocusEvent, KeyboardEvent, MouseEvent, SyntheticEvent } from 'react';
import type { RedlineRow } from './useRedline';

interface Told {
  onFocus: (row: RedlineRow, rowAt: number, fieldAt: number) => void;
  onPress: (event: MouseEvent, rowAt: number, fieldAt: number) => void;
  onKey: (event: KeyboardEvent, row: RedlineRow, rowAt: number, fieldAt: number) => void;
  onEdit: (row: RedlineRow, fieldAt: number) => void;
}

/**
 * What happens in the cells of lines, heard by the body of their table for all of them: thousands of cells come and go while one
 * scrolls, and each listener of theirs would have to be made.
 */
export function cellEvents(rows: RedlineRow[], told: Told) {
  const at = (event: SyntheticEvent) => {
    const cell = event.target instanceof Element ? event.target.closest<HTMLElement>('[data-cell]') : null;
    const [rowAt = -1, fieldAt = -1] = (cell?.dataset.cell ?? '').split('-').map(Number);
    const row = rows[rowAt];
    return cell === null || row === undefined ? null : { row, rowAt, fieldAt, itself: event.target === cell };
  };
  return {
    onFocus: (event: FocusEvent) => {
      const place = at(event);
      if (place?.itself) told.onFocus(place.row, place.rowAt, place.fieldAt);
    },
    onMouseDown: (event: MouseEvent) => {
      const place = at(event);
      if (place) told.onPress(event, place.rowAt, place.fieldAt);
    },
    onKeyDown: (event: KeyboardEvent) => {
      const place = at(event);
      if (place?.itself) told.onKey(event, place.row, place.rowAt, place.fieldAt);
    },
    onDoubleClick: (event: MouseEvent) => {
      const place = at(event);
      if (place) told.onEdit(place.row, place.fieldAt);
    },
  };
}
