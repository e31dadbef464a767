import type { ReactNode } from 'react';
import { useInSight, type Scroller } from '../../lib/useScroller';

interface Props {
  scroller: Scroller;
  count: number;
  /** Pixels of a row. */
  height: number;
  draw: (row: number) => ReactNode;
}

/** Of many rows of a table those that are in sight, and the room of the others. The table around them is not drawn anew when it scrolls. */
export function RowsInSight({ scroller, count, height, draw }: Props) {
  const [first, end] = useInSight(scroller, count);
  const blank = (rows: number) => rows > 0 && <tr aria-hidden style={{ height: rows * height }} />;
  return (
    <>
      {blank(first)}
      {Array.from({ length: end - first }, (_, at) => draw(first + at))}
      {blank(count - end)}
    </>
  );
}
