import type { CSSProperties } from 'react';

/**
 * Pixels of the columns where lines are so many that only those in sight are drawn: fixed, so that nothing moves sideways while one
 * scrolls, and the browser does not measure all rows for each one that comes.
 */
const WIDTHS: Record<string, number> = {
  parent: 224,
  structure: 100,
  find: 56,
  component: 244,
  quantity: 88,
  unit: 48,
  operation: 88,
  scrap: 76,
  designators: 96,
  notes: 112,
  revision: 120,
  by_product: 96,
  first_day: 112,
  last_day: 112,
  edited: 112,
};
const OTHER = 120;
const PADDING = 16;
const CHARACTER = 8;

export const flatWidth = (id: string, sizes: Record<string, number>) => sizes[id] ?? WIDTHS[id] ?? OTHER;

/**
 * The columns and the height of a row as the style sheet sets them out (columns-fixed), in pixels; what is left over of the width goes to
 * the columns of the lines.
 */
export function flatColumns(margin: number, widths: number[], row: number): CSSProperties {
  const columns = [`${margin}px`, ...widths.map((width) => `minmax(${width}px, ${width}fr)`)].join(' ');
  const minWidth = widths.reduce((sum, width) => sum + width, margin);
  return { '--columns': columns, '--row': `${row}px`, minWidth } as CSSProperties;
}

/** Whether so many characters may be more than a column has room for. Cutting a text off costs the browser time for every cell. */
export const mayBeCut = (characters: number, width: number) => characters * CHARACTER > width - PADDING;
