import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, told, type Schemas } from '../lib/api';
import { day, moment, today } from '../lib/format';
import { queries } from '../lib/queries';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { useOrderVersion } from '../lib/useOrderVersion';
import { Button } from '../ui/Button';
import { Facts } from '../ui/Facts';
import { DateInput } from '../ui/DateInput';
import { Field } from '../ui/Field';
import { ProblemNotice } from '../ui/Notice';
import { Person } from '../ui/Person';
import { Select } from '../ui/Select';

interface Props {
  order: Schemas['OrderData'];
  editable: boolean;
}

/** When the order takes effect, who edits and who signs. */
export function OrderPlan({ order, editable }: Props) {
  const people = useQuery({ ...queries.people(), enabled: editable });
  const [date, setDate] = useState(order.effective_on ?? '');
  const [editor, setEditor] = useState(order.editor ?? '');
  const [signer, setSigner] = useState(order.signer ?? '');
  const version = useOrderVersion(order);
  const plan = useAct(
    touches.order,
    () =>
      told(
        api.PATCH('/api/orders/{number}', {
          params: { path: { number: order.number } },
          body: {
            version: version(),
            ...(date !== (order.effective_on ?? '') ? { effective_on: date === '' ? null : date } : {}),
            ...(editor !== (order.editor ?? '') ? { editor } : {}),
            ...(signer !== (order.signer ?? '') ? { signer } : {}),
          },
        }),
      ),
    undefined,
    order.number,
  );
  if (!editable) {
    return (
      <Facts
        facts={[
          ['Order', order.number],
          ['Raised by', <Person key="by" name={order.author} />],
          ['On', moment(order.raised_at)],
          ['Effective from', day(order.effective_on)],
          ['Editor', order.editor_name === null ? null : <Person key="e" name={order.editor_name} to="waits_for" />],
          ['Signer', order.signer_name === null ? null : <Person key="s" name={order.signer_name} to="waits_for" />],
        ]}
      />
    );
  }
  const names = (which: 'may_revise' | 'may_sign') =>
    Object.fromEntries(
      (people.data ?? []).filter((one) => one[which]).map((one) => [one.login, `${one.name}, ${one.roles.join(', ')}`]),
    );
  const changed =
    date !== (order.effective_on ?? '') || editor !== (order.editor ?? '') || signer !== (order.signer ?? '');

  return (
    <form
      className="max-w-4xl space-y-2"
      onSubmit={(event) => {
        event.preventDefault();
        plan.mutate(undefined);
      }}
    >
      <div className="grid gap-4 md:grid-cols-[11rem_1fr_1fr_auto]">
        <Field label="Effective from" error={plan.error?.at('effective_on')}>
          <DateInput min={today()} value={date} onChange={setDate} />
        </Field>
        <Field label="Editor" error={plan.error?.at('editor')}>
          <Select value={editor} onChange={setEditor} options={names('may_revise')} />
        </Field>
        <Field label="Signer" error={plan.error?.at('signer')}>
          <Select value={signer} onChange={setSigner} options={names('may_sign')} />
        </Field>
        <Button type="submit" className="mt-5.5" busy={plan.isPending} disabled={!changed}>
          Save
        </Button>
      </div>
      <ProblemNotice problem={plan.error} shown={['effective_on', 'editor', 'signer']} />
    </form>
  );
}
