import type { ReactNode } from 'react';
import { ItemNumber } from '../Num';
import { Thumbnail } from '../Thumbnail';
import type { Column } from './Column';

interface Named {
  number: string;
  title: string;
  /** The file by which it is told at a glance; null: there is none. */
  picture?: string | null;
}

/** The number and title of an item, with what it looks like where that is known. */
export function itemColumn<Row>(of: (row: Row) => Named): Column<Row> {
  return {
    id: 'item',
    head: 'Item',
    text: (row) => `${of(row).number} ${of(row).title}`,
    cell: (row) => {
      const { number, title, picture } = of(row);
      return (
        <>
          {picture !== undefined && (
            <span className="mr-1.5">
              <Thumbnail file={picture} />
            </span>
          )}
          <ItemNumber number={number} /> {title}
        </>
      );
    },
  };
}

/** What can be done with a row, at its end. */
export function actsColumn<Row>(cell: (row: Row) => ReactNode): Column<Row> {
  return { id: 'acts', head: '', silent: true, className: 'text-right whitespace-nowrap', text: () => '', cell };
}

interface Ticked<Row> {
  head: string;
  label: (row: Row) => string;
  checked: (row: Row) => boolean;
  onTick: (row: Row, on: boolean) => void;
  shown?: (row: Row) => boolean;
  disabled?: (row: Row) => boolean;
}

/** A box to tick in each row. */
export function tickColumn<Row>({ head, label, checked, onTick, shown, disabled }: Ticked<Row>): Column<Row> {
  return {
    id: 'tick',
    head,
    silent: true,
    text: () => '',
    cell: (row) =>
      shown?.(row) === false ? null : (
        <input
          type="checkbox"
          aria-label={label(row)}
          checked={checked(row)}
          disabled={disabled?.(row) ?? false}
          onChange={(event) => onTick(row, event.target.checked)}
        />
      ),
  };
}
