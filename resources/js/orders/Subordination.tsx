import { useState } from 'react';
import { Link } from 'react-router';
import { api, told, type Schemas } from '../lib/api';
import { day } from '../lib/format';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { useMay } from '../lib/session';
import { states } from '../lib/words';
import { Button } from '../ui/Button';
import { ChosenChange } from '../ui/ChosenChange';
import { Details } from '../ui/Details';
import { Field } from '../ui/Field';
import { ProblemNotice } from '../ui/Notice';
import { ChangeNumber } from '../ui/Num';
import { Select } from '../ui/Select';

type Order = Schemas['OrderData'];
type Tied = Schemas['TiedOrderRow'];

const ways = { after: 'released after its parent', with: 'released together with its parent' } as const;

const named = (one: Tied) => (
  <>
    <ChangeNumber number={one.number} /> {one.title}{' '}
    <span className="text-soft">
      ({states[one.state] ?? one.state}
      {one.effective_on !== null && `, effective from ${day(one.effective_on)}`})
    </span>
  </>
);

interface Props {
  order: Order;
  /** Whether it can be made subordinate to another now. */
  editable: boolean;
  /** Whether it can be freed here. */
  acts?: boolean;
}

/** The order to which this one is subordinate and those that are subordinate to it: what another team judges of a change. */
export function Subordination({ order, editable, acts = true }: Props) {
  const mayRaise = useMay('raise_order');
  const free = useAct(touches.order, () =>
    told(
      api.DELETE('/api/orders/{number}/parent', {
        params: { path: { number: order.number } },
        body: { version: order.version },
      }),
    ),
  );
  const { parent, subordinates } = order;
  if (parent === null && subordinates.length === 0 && !editable) return null;
  return (
    <section aria-label="Parent and subordinate orders">
      <h3>Parent and subordinate orders</h3>
      {parent !== null && (
        <p>
          Subordinate to {named(parent)}, {parent.together ? ways.with : ways.after}.{' '}
          {acts && order.is_open && order.may.includes('plan') && (
            <Button look="quiet" className="!h-6 !px-1" busy={free.isPending} onClick={() => free.mutate(undefined)}>
              Remove
            </Button>
          )}
        </p>
      )}
      <ProblemNotice problem={free.error} />
      {subordinates.length > 0 && (
        <ul>
          {subordinates.map((one) => (
            <li key={one.number}>
              Subordinate: {named(one)}, {one.together ? ways.with : ways.after}
            </li>
          ))}
        </ul>
      )}
      {editable && (
        <div className="mt-1 flex flex-wrap items-start gap-x-5 gap-y-2">
          {mayRaise && (
            <Link to={`/orders/new?parent=${order.number}`} className="text-accent underline-offset-3 hover:underline">
              Raise a subordinate order
            </Link>
          )}
          {parent === null && <PutUnder order={order} />}
        </div>
      )}
    </section>
  );
}

function PutUnder({ order }: { order: Order }) {
  const [parent, setParent] = useState<Pick<Schemas['ChangeRow'], 'number' | 'title'> | null>(null);
  const [way, setWay] = useState<keyof typeof ways>('after');
  const put = useAct(touches.order, () =>
    told(
      api.PUT('/api/orders/{number}/parent', {
        params: { path: { number: order.number } },
        body: { parent: parent?.number ?? '', together: way === 'with', version: order.version },
      }),
    ),
  );
  return (
    <Details summary="Make it subordinate to another order">
      <form
        className="mt-1 flex flex-wrap items-start gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          put.mutate(undefined);
        }}
      >
        <div className="w-80">
          <span className="mb-0.5 block text-sm font-medium text-soft">Subordinate to</span>
          <ChosenChange
            label="Subordinate to"
            types={['order']}
            fits={(change) => change.number !== order.number}
            chosen={parent}
            onChoose={setParent}
            error={put.error?.at('parent')}
          />
        </div>
        <Field label="Way" className="w-72">
          <Select value={way} onChange={setWay} options={ways} />
        </Field>
        <Button type="submit" className="mt-5.5" disabled={parent === null} busy={put.isPending}>
          Make subordinate
        </Button>
        <ProblemNotice problem={put.error} shown={['parent']} />
      </form>
    </Details>
  );
}
