import { readFile } from 'node:fs/promises';
import readerOf, { type ReadResult } from 'occt-import-js';
import { beforeAll, describe, expect, it } from 'vitest';
import { compareSolids } from './compareSolids';
import { measuresOf } from './measures';
import { numbersByName, solidsOf, type Solid } from './solids';

/** A plate of 40 by 20 by 5 with a hole of 8, and two pins of 6 by 10 on it. */
let step: string;
let result: ReadResult;

beforeAll(async () => {
  const file = await readFile('resources/js/testing/bracket.stp');
  const wasm = await readFile('node_modules/occt-import-js/dist/occt-import-js.wasm');
  step = file.toString('latin1');
  const reader = await readerOf({ wasmBinary: new Uint8Array(wasm).buffer });
  result = reader.ReadStepFile(new Uint8Array(file), null);
}, 60_000);

const bracket = () => solidsOf(result, numbersByName(step));

/** The same body elsewhere. */
function shifted(solid: Solid, by: [number, number, number]): Solid {
  return { ...solid, position: solid.position.map((value, at) => value + (by[at % 3] ?? 0)) };
}

/** The same body, so many times as large about the origin. */
function scaled(solid: Solid, by: number): Solid {
  return { ...solid, position: solid.position.map((value) => value * by) };
}

const kinds = (before: Solid[], after: Solid[]) =>
  compareSolids(before, after)
    .map(({ kind, before: was, after: is }) => `${kind} ${(is ?? was)?.number}`)
    .sort();

describe('bodies of a design model', () => {
  it('are those of the file, by the numbers of its products', () => {
    expect(bracket().map(({ number, name }) => `${number} ${name}`)).toEqual([
      '900-0001 Plate',
      '900-0002 Pin',
      '900-0002 Pin',
    ]);
  });

  it('measure what they are drawn as', () => {
    const [plate, left, right] = bracket().map(measuresOf);
    // Circles are drawn as corners: a little less.
    expect(plate?.volume).toBeGreaterThan(40 * 20 * 5 - Math.PI * 16 * 5 - 1);
    expect(plate?.volume).toBeLessThan(40 * 20 * 5 - Math.PI * 16 * 5 + 8);
    expect([plate?.low, plate?.high]).toEqual([
      [-20, -10, 0],
      [20, 10, 5],
    ]);
    expect(left?.volume).toBeCloseTo(right?.volume ?? 0, 3);
    expect(left?.centre[0]).toBeCloseTo(-12, 1);
    expect(right?.centre[2]).toBeCloseTo(10, 1);
  });

  it('are named by what is above them where they have no name, and never by a name of two products', () => {
    const mesh = (name: string) => ({
      name,
      attributes: { position: { array: [0, 0, 0] } },
      index: { array: [0, 0, 0] },
    });
    const made = solidsOf(
      {
        success: true,
        root: {
          name: '',
          meshes: [],
          children: [{ name: 'Screw', meshes: [0, 1], children: [{ name: '', meshes: [2], children: [] }] }],
        },
        meshes: [mesh(''), mesh('Head'), mesh('')],
      },
      numbersByName(
        "#1=PRODUCT('600-1','Screw','',(#9));#2=PRODUCT('600-2','Head','',(#9));#3=PRODUCT ( '600-3' , 'Head','',(#9));",
      ),
    );
    expect(made.map(({ number }) => number)).toEqual(['600-1', 'Head', '600-1']);
  });

  it('have names as people write them', () => {
    const numbers = numbersByName(
      "#1=PRODUCT('1','it''s \\X2\\00D8\\X0\\6','',(#9)); #2=PRODUCT('2','5 \\X\\B0','',(#9));",
    );
    expect([...numbers]).toEqual([
      ["it's Ø6", '1'],
      ['5 °', '2'],
    ]);
  });
});

it('are left out where the reader had no room for their surface', () => {
  const empty = { name: 'Lost', attributes: { position: { array: [] } }, index: { array: [] } };
  const root = { name: 'All', meshes: [0], children: [] };
  expect(solidsOf({ success: true, root, meshes: [empty] }, new Map())).toEqual([]);
});

describe('two design models', () => {
  it('do not differ where they are the same, in whatever order', () => {
    expect(kinds(bracket(), bracket().reverse())).toEqual([
      'unchanged 900-0001',
      'unchanged 900-0002',
      'unchanged 900-0002',
    ]);
  });

  it('say what moved, what changed, what went and what came', () => {
    const [plate, left, right] = bracket() as [Solid, Solid, Solid];
    const ring = { ...right, number: '900-0003' };
    expect(kinds([plate, left, right], [scaled(plate, 1.1), shifted(left, [2, 0, 0]), ring])).toEqual([
      'added 900-0003',
      'changed 900-0001',
      'moved 900-0002',
      'removed 900-0002',
    ]);
  });

  it('take the nearest of several for the one that moved', () => {
    const [, left, right] = bracket() as [Solid, Solid, Solid];
    const changes = compareSolids([left, right], [shifted(right, [1, 0, 0]), left]);
    expect(changes.find(({ kind }) => kind === 'moved')?.before).toBe(right);
    expect(changes.find(({ kind }) => kind === 'unchanged')?.before).toBe(left);
  });

  it('are the same two the other way round: what went and what came are swapped', () => {
    const parts = bracket();
    let seed = 7;
    const random = () => (seed = (seed * 16_807) % 2_147_483_647) / 2_147_483_647;
    for (let round = 0; round < 50; round++) {
      const other = parts
        .filter(() => random() > 0.2)
        .map((solid) => (random() < 0.3 ? shifted(solid, [random() * 9, 0, random()]) : solid))
        .map((solid) => (random() < 0.3 ? scaled(solid, 1 + random()) : solid))
        .map((solid) => (random() < 0.2 ? { ...solid, number: `x${Math.floor(random() * 3)}` } : solid));
      const swapped = { added: 'removed', removed: 'added' } as Record<string, string>;
      const count = (changes: ReturnType<typeof compareSolids>, swap: boolean) =>
        changes.map(({ kind }) => (swap ? (swapped[kind] ?? kind) : kind)).sort();
      expect(count(compareSolids(other, parts), true)).toEqual(count(compareSolids(parts, other), false));
    }
  });
});
