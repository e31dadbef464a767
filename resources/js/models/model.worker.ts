import readerOf from 'occt-import-js';
import wasm from 'occt-import-js/dist/occt-import-js.wasm?url';
import type { FromWorker, ToWorker } from './readModel';
import { numbersByName, solidsOf } from './solids';

/** Reads a design model beside the page, which goes on meanwhile; whoever does not want to wait ends the worker. */
const say = (message: FromWorker, handOver: Transferable[] = []) => self.postMessage(message, { transfer: handOver });

self.onmessage = ({ data: { address } }: MessageEvent<ToWorker>) => {
  void read(address).catch((fault: unknown) => say({ fault: fault instanceof Error ? fault.message : String(fault) }));
};

async function read(address: string): Promise<void> {
  const [binary, file] = await Promise.all([fetch(wasm).then((answer) => answer.arrayBuffer()), loaded(address)]);
  say({ reading: true });
  const reader = await readerOf({ wasmBinary: binary });
  const result = reader.ReadStepFile(file, null);
  if (!result.success) throw new Error('This file has no bodies that can be drawn.');
  const solids = solidsOf(result, numbersByName(new TextDecoder('latin1').decode(file)));
  const undrawn = result.meshes.length - solids.length;
  if (solids.length === 0 && undrawn > 0) throw new Error('It is too large to be drawn in a browser.');
  say(
    { solids, undrawn },
    solids.flatMap(({ position, normal, index }) => [position.buffer, normal.buffer, index.buffer]),
  );
}

/** The file, with how much of it is there said now and then. */
async function loaded(address: string): Promise<Uint8Array> {
  const answer = await fetch(address, { credentials: 'same-origin' });
  if (!answer.ok || answer.body === null) throw new Error('The file could not be loaded.');
  const pieces: Uint8Array[] = [];
  let bytes = 0;
  const from = answer.body.getReader();
  for (let next = await from.read(); !next.done; next = await from.read()) {
    pieces.push(next.value);
    bytes += next.value.length;
    say({ loaded: bytes });
  }
  const whole = new Uint8Array(bytes);
  let at = 0;
  for (const piece of pieces) {
    whole.set(piece, at);
    at += piece.length;
  }
  return whole;
}
