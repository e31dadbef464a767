import { useState } from 'react';
import { api, told, type Schemas } from '../lib/api';
import { today } from '../lib/format';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { Button } from '../ui/Button';
import { ChosenChange } from '../ui/ChosenChange';
import { DateInput } from '../ui/DateInput';
import { Field } from '../ui/Field';
import { Input } from '../ui/Input';
import { ProblemNotice } from '../ui/Notice';

interface Props {
  order: string;
  /** Of the order as it is on screen. */
  version: number;
  row: Schemas['PlantAccount'];
  onDone: () => void;
}

/** Puts on record that a plant takes over later what the order changes: under which order, by which day and why. */
export function FollowLater({ order, version, row, onDone }: Props) {
  const params = { path: { number: order, item: row.item, plant: row.plant } };
  const [under, setUnder] = useState(row.later ? { number: row.later.order, title: '' } : null);
  const [value, setValue] = useState({
    by: row.later?.by ?? '',
    reason: row.later?.reason ?? '',
  });
  const set = useAct(touches.order, () =>
    told(
      api.PUT('/api/orders/{number}/items/{item}/plants/{plant}/follow-up', {
        params,
        body: { ...value, order: under?.number ?? '', version },
      }),
    ),
  );
  const takeBack = useAct(touches.order, () =>
    told(api.DELETE('/api/orders/{number}/items/{item}/plants/{plant}/follow-up', { params, body: { version } })),
  );
  return (
    <form
      aria-label={`${row.item} at ${row.plant} follows later`}
      className="space-y-2 border-y border-strong bg-sheet p-3"
      onSubmit={(event) => {
        event.preventDefault();
        set.mutate(undefined, { onSuccess: onDone });
      }}
    >
      <p>
        {row.item} {row.title}: {row.plant} takes over later what {order} changes.
      </p>
      <div className="flex flex-wrap items-start gap-3">
        <div className="w-80">
          <span className="mb-0.5 block text-sm font-medium text-soft">Under order</span>
          <ChosenChange
            label="Under order"
            types={['order']}
            fits={({ number }) => number !== order}
            chosen={under}
            onChoose={setUnder}
            error={set.error?.at('order')}
          />
        </div>
        <Field label="By" className="w-40" error={set.error?.at('by')}>
          <DateInput value={value.by} min={today()} onChange={(by) => setValue({ ...value, by })} />
        </Field>
        <Field label="Reason" className="w-96" error={set.error?.at('reason')}>
          <Input value={value.reason} onChange={(event) => setValue({ ...value, reason: event.target.value })} />
        </Field>
      </div>
      <span className="flex gap-2">
        <Button type="submit" look="main" busy={set.isPending}>
          Follows later
        </Button>
        {row.later && (
          <Button busy={takeBack.isPending} onClick={() => takeBack.mutate(undefined, { onSuccess: onDone })}>
            Does not follow later
          </Button>
        )}
        <Button look="quiet" onClick={onDone}>
          Cancel
        </Button>
      </span>
      <ProblemNotice problem={set.error ?? takeBack.error} shown={['order', 'by', 'reason']} />
    </form>
  );
}
