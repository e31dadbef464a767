import { useState } from 'react';
import { api, told } from '../lib/api';
import { count } from '../lib/format';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { Button } from '../ui/Button';
import { Field } from '../ui/Field';
import { Input } from '../ui/Input';
import { ProblemNotice } from '../ui/Notice';
import type { OldDocument } from './documentColumns';

interface Props {
  order: string;
  rows: OldDocument[];
  onDone: () => void;
}

/** Why nothing is left to do about documents of which planning still tells. */
export function SeenForm({ order, rows, onDone }: Props) {
  const [reason, setReason] = useState('');
  const see = useAct(
    touches.oldDocument,
    () =>
      told(
        api.POST('/api/orders/{number}/old-documents/seen', {
          params: { path: { number: order } },
          body: { ids: rows.map(({ id }) => id), seen: true, reason },
        }),
      ),
    onDone,
  );
  return (
    <form
      aria-label="Seen to"
      className="no-print space-y-3 border-y border-strong bg-sheet p-3"
      onSubmit={(event) => {
        event.preventDefault();
        see.mutate(undefined);
      }}
    >
      <h2>{rows.length === 1 ? rows[0]?.document : `${count(rows.length)} documents`}</h2>
      <Field label="Why nothing is left to do" className="max-w-4xl" error={see.error?.at('reason')}>
        <Input value={reason} onChange={(event) => setReason(event.target.value)} />
      </Field>
      <ProblemNotice problem={see.error} shown={['reason']} />
      <div className="flex gap-2">
        <Button type="submit" look="main" busy={see.isPending}>
          Seen to
        </Button>
        <Button look="quiet" onClick={onDone}>
          Cancel
        </Button>
      </div>
    </form>
  );
}
