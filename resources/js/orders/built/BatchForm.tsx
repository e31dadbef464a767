import type { UseMutationResult } from '@tanstack/react-query';
import { useState } from 'react';
import type { ApiProblem } from '../../lib/api';
import { quantity } from '../../lib/format';
import { Button } from '../../ui/Button';
import { DecimalInput } from '../../ui/DecimalInput';
import type { Done } from '../useRedline';
import type { BuiltEdit, BuiltRedline } from './useBuilt';

interface Props {
  redline: BuiltRedline;
  route: UseMutationResult<Done, ApiProblem, BuiltEdit>;
}

/** How many are made at once: said, and changed by who edits. */
export function BatchForm({ redline, route }: Props) {
  const [batch, setBatch] = useState<string | null>(null);
  const same = redline.batch === redline.batch_before;
  const save = async () => {
    try {
      if (batch !== null && batch !== redline.batch)
        await route.mutateAsync({ edit: 'set_batch', part: '', fields: { batch } });
      setBatch(null);
    } catch {
      // The reason stands beside it.
    }
  };
  if (batch === null)
    return (
      <span className="px-2">
        Batch of {!same && <del className="mr-1 text-soft">{quantity(redline.batch_before)}</del>}
        <span className={same ? '' : 'font-semibold'}>{quantity(redline.batch)}</span>
        {redline.may_edit && (
          <Button look="quiet" className="!h-6" onClick={() => setBatch(redline.batch)}>
            Change
          </Button>
        )}
      </span>
    );
  const error = route.error?.at('batch');
  return (
    <form
      className="flex items-center gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        void save();
      }}
    >
      <DecimalInput
        aria-label="Batch"
        aria-invalid={error !== undefined}
        className="w-20"
        value={batch}
        onChange={setBatch}
      />
      <Button type="submit" busy={route.isPending}>
        Save the batch
      </Button>
      <Button look="quiet" onClick={() => setBatch(null)}>
        Cancel
      </Button>
      {error !== undefined && <span className="text-sm text-alarm">▸ {error}</span>}
    </form>
  );
}
