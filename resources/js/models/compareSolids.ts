import { measuresOf, type Measures } from './measures';
import { byNumber, type Solid } from './solids';

export const BODY_KINDS = ['added', 'removed', 'changed', 'moved', 'unchanged'] as const;

/** What became of one body. */
export interface BodyChange {
  kind: (typeof BODY_KINDS)[number];
  before: Solid | null;
  after: Solid | null;
}

/** Millimetres: nearer than that is the same place. */
const NEAR = 0.02;

/** Of a measure: triangles that stand otherwise measure a little otherwise. */
const SAME = 1e-3;

interface Measured {
  solid: Solid;
  is: Measures;
}

/**
 * What differs between two design models of one item. Bodies of one number belong together: first those that stand at the same place in
 * the same shape, then those of the same shape elsewhere (moved), then what is left pairs by nearness (changed); the rest went or came.
 *
 * The housing is bored wider: changed. The clamps sit 2 mm further in: moved. Tube 200-0040 went, 200-0041 came. The other way round went
 * and came are swapped, and nothing else.
 */
export function compareSolids(before: Solid[], after: Solid[]): BodyChange[] {
  const [left, right] = [byNumber(before), byNumber(after)];
  return [...new Set([...left.keys(), ...right.keys()])].flatMap((number) =>
    compared(measured(left.get(number) ?? []), measured(right.get(number) ?? [])),
  );
}

const measured = (solids: Solid[]): Measured[] => solids.map((solid) => ({ solid, is: measuresOf(solid) }));

function compared(before: Measured[], after: Measured[]): BodyChange[] {
  const changes: BodyChange[] = [];
  let [left, right] = [before, after];
  const rules: [BodyChange['kind'], (a: Measures, b: Measures) => boolean][] = [
    ['unchanged', (a, b) => sameShape(a, b) && samePlace(a, b)],
    ['moved', sameShape],
    ['changed', () => true],
  ];
  for (const [kind, fits] of rules) {
    // The nearest first, whichever side it is seen from.
    const pairs = left
      .flatMap((one) => right.filter((other) => fits(one.is, other.is)).map((other) => ({ one, other })))
      .sort((a, b) => distance(a.one.is, a.other.is) - distance(b.one.is, b.other.is));
    const met = new Set<Measured>();
    for (const { one, other } of pairs) {
      if (met.has(one) || met.has(other)) continue;
      met.add(one).add(other);
      changes.push({ kind, before: one.solid, after: other.solid });
    }
    left = left.filter((one) => !met.has(one));
    right = right.filter((one) => !met.has(one));
  }
  return [
    ...changes,
    ...left.map(({ solid }): BodyChange => ({ kind: 'removed', before: solid, after: null })),
    ...right.map(({ solid }): BodyChange => ({ kind: 'added', before: null, after: solid })),
  ];
}

const alike = (a: number, b: number) => Math.abs(a - b) <= SAME * Math.max(Math.abs(a), Math.abs(b), 1e-9);
const sameShape = (a: Measures, b: Measures) => alike(a.volume, b.volume) && alike(a.area, b.area);
const samePlace = (a: Measures, b: Measures) =>
  ([0, 1, 2] as const).every(
    (axis) => Math.abs(a.low[axis] - b.low[axis]) <= NEAR && Math.abs(a.high[axis] - b.high[axis]) <= NEAR,
  );
const distance = (a: Measures, b: Measures) =>
  Math.hypot(a.centre[0] - b.centre[0], a.centre[1] - b.centre[1], a.centre[2] - b.centre[2]);
