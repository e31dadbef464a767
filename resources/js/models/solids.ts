import type { ReadNode, ReadResult } from 'occt-import-js';

/** One body of a design model, as it stands in it. Millimetres. */
export interface Solid {
  /** Its place in the model: those that are the same in two revisions may have another one. */
  id: number;
  /** The number of the item that it is; the name of the product, where that has none. */
  number: string;
  name: string;
  position: Float32Array;
  normal: Float32Array;
  index: Uint32Array;
}

/** Numbers of products by their names, as a STEP file has them; a name of several products says nothing. */
export function numbersByName(step: string): Map<string, string> {
  const numbers = new Map<string, string>();
  const ambiguous = new Set<string>();
  for (const [, number = '', name = ''] of step.matchAll(/\bPRODUCT\s*\(\s*'((?:[^']|'')*)'\s*,\s*'((?:[^']|'')*)'/g)) {
    const called = plain(name);
    const known = numbers.get(called);
    if (known !== undefined && known !== plain(number)) ambiguous.add(called);
    numbers.set(called, plain(number));
  }
  for (const name of ambiguous) numbers.delete(name);
  return numbers;
}

/** Texts of ISO 10303-21: a quote is doubled, what is beyond ASCII is written in hexadecimals. */
function plain(text: string): string {
  return text
    .replaceAll("''", "'")
    .replace(/\\X2\\((?:[0-9A-F]{4})+)\\X0\\/g, (_, hex: string) =>
      String.fromCharCode(...(hex.match(/.{4}/g) ?? []).map((one) => parseInt(one, 16))),
    )
    .replace(/\\X\\([0-9A-F]{2})/g, (_, hex: string) => String.fromCharCode(parseInt(hex, 16)));
}

/**
 * The bodies of a model that was read. A body that has a name of its own is that part; one that has none is what its node is: parts of
 * several bodies are named as a whole.
 */
export function solidsOf({ root, meshes }: ReadResult, numbers: Map<string, string>): Solid[] {
  const solids: Solid[] = [];
  const walk = (node: ReadNode, above: string) => {
    const own = node.name === '' ? above : node.name;
    for (const at of node.meshes) {
      const mesh = meshes[at];
      // What the reader had no room for has no surface.
      if (mesh === undefined || mesh.index.array.length === 0) continue;
      const name = mesh.name === '' ? own : mesh.name;
      const position = Float32Array.from(mesh.attributes.position.array);
      const index = Uint32Array.from(mesh.index.array);
      solids.push({
        id: solids.length,
        number: numbers.get(name) ?? name,
        name,
        position,
        normal: mesh.attributes.normal ? Float32Array.from(mesh.attributes.normal.array) : flatNormals(position, index),
        index,
      });
    }
    for (const child of node.children) walk(child, own);
  };
  walk(root, '');
  return solids;
}

/** Of a mesh that says none: those of the last triangle at each corner. */
function flatNormals(position: Float32Array, index: Uint32Array): Float32Array {
  const normal = new Float32Array(position.length);
  const at = (corner: number, axis: number) => position[3 * corner + axis] ?? 0;
  for (let i = 0; i + 2 < index.length; i += 3) {
    const [a, b, c] = [index[i] ?? 0, index[i + 1] ?? 0, index[i + 2] ?? 0];
    const u = [0, 1, 2].map((axis) => at(b, axis) - at(a, axis)) as [number, number, number];
    const v = [0, 1, 2].map((axis) => at(c, axis) - at(a, axis)) as [number, number, number];
    const way = [u[1] * v[2] - u[2] * v[1], u[2] * v[0] - u[0] * v[2], u[0] * v[1] - u[1] * v[0]];
    const length = Math.hypot(...way) || 1;
    for (const corner of [a, b, c]) way.forEach((part, axis) => (normal[3 * corner + axis] = part / length));
  }
  return normal;
}

/** The bodies of each part, by its number, in the order in which they stand. */
export function byNumber(solids: Solid[]): Map<string, Solid[]> {
  const parts = new Map<string, Solid[]>();
  for (const solid of solids) parts.set(solid.number, [...(parts.get(solid.number) ?? []), solid]);
  return parts;
}
