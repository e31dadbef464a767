import type { Schemas } from '../lib/api';
import { Button } from '../ui/Button';
import { Notice } from '../ui/Notice';
import type { Model } from './useModel';

const MEGABYTE = 1_000_000;
const mb = (bytes: number) => `${(bytes / MEGABYTE).toFixed(1)} MB`;

/** A model that is not there yet: how far it is, and a way to stop it; or what went wrong. */
export function Reading({ file, model }: { file: Schemas['FileRow']; model: Model }) {
  if (model.solids !== null) return null;
  if (model.fault !== null || model.cancelled) {
    return (
      <Notice look={model.cancelled ? 'warn' : 'alarm'}>
        {model.cancelled ? `Reading ${file.name} was cancelled.` : `${file.name}: ${model.fault}`}{' '}
        <Button look="quiet" onClick={model.again}>
          Read it again
        </Button>
      </Notice>
    );
  }
  const { loaded, reading } = model.progress;
  return (
    <div className="flex flex-wrap items-center gap-3 border-y border-strong bg-sheet px-3 py-2">
      <p role="status">{reading ? `Reading ${file.name}, ${mb(file.bytes)}` : `Loading ${file.name}`}</p>
      <progress
        aria-label={`Progress of ${file.name}`}
        max={file.bytes}
        {...(reading ? {} : { value: Math.min(loaded, file.bytes) })}
      />
      <Button onClick={model.cancel}>Cancel</Button>
    </div>
  );
}
