import { readFileSync, writeSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import readerOf from 'occt-import-js';
import { PNG } from 'pngjs';
import { shaded } from './shaded';
import { solidsOf } from './solids';

// A design model as a small picture, for a worker of the server: node bootstrap/ssr/draw.js FILE WIDTH HEIGHT writes PNG.
const [, , path = '', width = '240', height = '170'] = process.argv;
const wasm = readFileSync(
  join(dirname(createRequire(import.meta.url).resolve('occt-import-js')), 'occt-import-js.wasm'),
);
const reader = await readerOf({ wasmBinary: new Uint8Array(wasm).buffer });
const read = reader.ReadStepFile(readFileSync(path), null);
const solids = read.success ? solidsOf(read, new Map()) : [];
if (solids.length === 0) process.exit(1);
const pixels = shaded(solids, Number(width), Number(height));
const png = new PNG({ width: pixels.width, height: pixels.height });
png.data.set(pixels.data);
writeSync(1, PNG.sync.write(png));
