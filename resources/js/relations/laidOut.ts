import type { Schemas } from '../lib/api';

type Tie = Schemas['RelationRow'];

export const TALL = 22;
/** From one record to the next below it. */
const ROW = 26;
/** Above the words of a kind of tie. */
const GAP = 14;
const MARGIN = 10;
/** Room for the lines between two columns. */
const ACROSS = 70;
/** Of one kind and direction; the list has the rest. */
export const FEW = 12;

export interface Place {
  tie: string;
  way: 'in' | 'out';
  x: number;
  y: number;
  related: Tie['related'][number];
}

interface Group {
  tie: string;
  way: 'in' | 'out';
  words: string;
  total: number;
  shown: number;
  x: number;
  y: number;
}

/** Where each record stands: what leads here in a column on the left, what it leads to on the right, kind by kind. */
export function laidOut(ties: Tie[], room: number) {
  const box = Math.floor((room - 2 * MARGIN - 2 * ACROSS) / 3);
  const columns = { in: MARGIN, out: room - MARGIN - box };
  const bottoms = { in: MARGIN, out: MARGIN };
  const groups: Group[] = [];
  const places: Place[] = [];
  for (const { tie, way, words, total, related } of ties) {
    const x = columns[way];
    const some = related.slice(0, FEW);
    const top = bottoms[way] + GAP;
    groups.push({ tie, way, words, total, shown: some.length, x, y: top });
    some.forEach((one, index) => places.push({ tie, way, x, y: top + ROW * index + ROW - 6, related: one }));
    bottoms[way] = top + ROW * some.length + 6;
  }
  const height = Math.max(bottoms.in, bottoms.out, 80) + MARGIN;
  return { groups, places, middle: { x: MARGIN + box + ACROSS, y: height / 2 }, box, height };
}
