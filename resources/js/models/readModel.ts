import type { Solid } from './solids';

export interface ToWorker {
  address: string;
}

/** What the worker says: how far it is, what it found, or what went wrong. */
export interface FromWorker {
  loaded?: number;
  reading?: true;
  solids?: Solid[];
  undrawn?: number;
  fault?: string;
}

/** The bodies of a model; and how many more it has, for which there was no room. */
export interface ReadBodies {
  solids: Solid[];
  undrawn: number;
}

export interface Progress {
  /** Bytes that are there. */
  loaded: number;
  /** It is all there, and is being read. */
  reading: boolean;
}

/** Reads the bodies of a design model in a worker of its own, which ends when it is done, or is wanted no longer. */
export function readModel(
  address: string,
  onProgress: (progress: Progress) => void,
  signal: AbortSignal,
): Promise<ReadBodies> {
  return new Promise((resolve, reject) => {
    const worker = new Worker(new URL('./model.worker.ts', import.meta.url), { type: 'module' });
    const progress: Progress = { loaded: 0, reading: false };
    const end = (settle: () => void) => {
      worker.terminate();
      settle();
    };
    signal.addEventListener('abort', () => end(() => reject(new DOMException('Cancelled.', 'AbortError'))));
    worker.onerror = () => end(() => reject(new Error('The model could not be read.')));
    worker.onmessage = ({ data }: MessageEvent<FromWorker>) => {
      if (data.solids !== undefined) {
        const { solids, undrawn = 0 } = data;
        end(() => resolve({ solids, undrawn }));
      } else if (data.fault !== undefined) {
        const { fault } = data;
        end(() => reject(new Error(fault)));
      } else {
        if (data.loaded !== undefined) progress.loaded = data.loaded;
        if (data.reading !== undefined) progress.reading = true;
        onProgress({ ...progress });
      }
    };
    worker.postMessage({ address } satisfies ToWorker);
  });
}
