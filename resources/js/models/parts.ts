import type { Schemas } from '../lib/api';
import type { BodyChange } from './compareSolids';
import type { Body } from './Scene';
import type { Look } from './looks';
import type { Solid } from './solids';

/** A part of a model, as it stands in the list beside it. */
export interface ModelPart {
  number: string;
  title: string;
  /** Bodies of it in the model that is shown. */
  bodies: number;
  /** Numbers of what it is built of, at any depth. */
  below: ReadonlySet<string>;
  /** Bodies of those. */
  bodiesBelow: number;
  /** So much of it goes in, by the structure; empty: no line of the structure names it. */
  quantity: string;
  find: string;
  /** What became of its bodies, where two models are compared; the worst that happened to one first. */
  kinds: BodyChange['kind'][];
}

const RANK: BodyChange['kind'][] = ['removed', 'added', 'changed', 'moved', 'unchanged'];

/** The parts of a model, or of two that are compared, with the lines of the structure; those in the structure alone stand last. */
export function partsOf(solids: Solid[], changes: BodyChange[] | null, rows: Schemas['TreeRow'][]): ModelPart[] {
  const parts = new Map<string, ModelPart>();
  const part = (number: string, title: string) => {
    const known = parts.get(number) ?? {
      ...{ number, title, quantity: '', find: '', kinds: [] },
      ...{ bodies: 0, below: belowOf(number, rows), bodiesBelow: 0 },
    };
    parts.set(number, known);
    return known;
  };
  for (const solid of solids) part(solid.number, solid.name).bodies++;
  for (const { kind, before, after } of changes ?? []) {
    const of = after ?? before;
    if (of !== null) part(of.number, of.name).kinds.push(kind);
  }
  const sums = new Map<string, number>();
  for (const { line, item, extended, level } of rows) {
    const known = part(item.number, item.title);
    known.title = item.title;
    sums.set(item.number, (sums.get(item.number) ?? 0) + Number(extended));
    // To a few decimals: sums of decimals are no decimals.
    known.quantity = `${Number((sums.get(item.number) ?? 0).toFixed(6))} ${line.unit}`;
    if (level === 1 && known.find === '') known.find = String(line.find);
  }
  for (const one of parts.values()) {
    one.kinds = RANK.filter((kind) => one.kinds.includes(kind));
    for (const number of one.below) one.bodiesBelow += parts.get(number)?.bodies ?? 0;
  }
  const isThere = (one: ModelPart) => one.bodies + one.bodiesBelow > 0 || one.kinds.length > 0;
  return [...parts.values()].sort((a, b) => Number(isThere(b)) - Number(isThere(a)));
}

/** Numbers of all that stands below an item in the tree, wherever it does. */
function belowOf(number: string, rows: Schemas['TreeRow'][]): Set<string> {
  const above = rows.filter(({ item }) => item.number === number).map(({ path }) => `${path}/`);
  return new Set(rows.filter(({ path }) => above.some((one) => path.startsWith(one))).map(({ item }) => item.number));
}

/** How each body looks, with some of the parts chosen (an assembly with all that is in it) and some hidden. */
export function bodiesOf(
  solids: Solid[],
  changes: BodyChange[] | null,
  chosen: ReadonlySet<string> | null,
  hidden: ReadonlySet<string>,
): Body[] {
  const isChosen = (number: string) => chosen?.has(number) === true;
  const isShown = (solid: Solid) => !hidden.has(solid.number);
  if (changes === null) {
    return solids.filter(isShown).map((solid) => ({
      key: `after ${solid.id}`,
      solid,
      look: chosen === null ? 'plain' : isChosen(solid.number) ? 'chosen' : 'pale',
    }));
  }
  return changes.flatMap(({ kind, before, after }): Body[] => {
    const look = (of: Solid, shown: Look): Look => (chosen === null || isChosen(of.number) ? shown : 'pale');
    const bodies: Body[] = [];
    if (after !== null && isShown(after)) {
      const shown = kind === 'unchanged' ? (isChosen(after.number) ? 'chosen' : 'pale') : kind;
      bodies.push({ key: `after ${after.id}`, solid: after, look: look(after, shown) });
    }
    if (before !== null && kind !== 'unchanged' && isShown(before)) {
      const shown = kind === 'removed' ? 'removed' : 'was';
      // Pale, it would look as if it were there still.
      if (chosen === null || isChosen(before.number))
        bodies.push({ key: `before ${before.id}`, solid: before, look: shown });
    }
    return bodies;
  });
}
