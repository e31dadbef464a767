import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, told, type Schemas } from '../lib/api';
import { day, moment, today } from '../lib/format';
import { queries } from '../lib/queries';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { priorities } from '../lib/words';
import { useOrderVersion } from '../lib/useOrderVersion';
import { Button } from '../ui/Button';
import { Facts } from '../ui/Facts';
import { DateInput } from '../ui/DateInput';
import { Details } from '../ui/Details';
import { Field } from '../ui/Field';
import { Input, TextArea } from '../ui/Input';
import { ProblemNotice } from '../ui/Notice';
import { Person } from '../ui/Person';
import { Select } from '../ui/Select';

interface Props {
  order: Schemas['OrderData'];
  editable: boolean;
}

/** Of the choice that is no path: the signer alone. */
const ONE = 'one';
/** Of the choice that leaves it to a rule, until the order is sent to review. */
const BY_RULE = 'rule';

type Draft = Record<'effective_on' | 'editor' | 'signer' | 'path' | 'title' | 'description', string> & {
  priority: Schemas['OrderData']['priority'];
};

/** When the order takes effect, who edits and who signs; what it is called and about. */
export function OrderPlan({ order, editable }: Props) {
  const people = useQuery({ ...queries.people(), enabled: editable });
  const paths = useQuery({ ...queries.approvalPaths(), enabled: editable }).data ?? [];
  const was: Draft = {
    effective_on: order.effective_on ?? '',
    editor: order.editor ?? '',
    signer: order.signer ?? '',
    path: order.path.by_rule ? BY_RULE : (order.path.code ?? ''),
    title: order.title,
    priority: order.priority,
    description: order.description,
  };
  const [value, setValue] = useState(was);
  const set = (one: Partial<Draft>) => setValue((before) => ({ ...before, ...one }));
  const { effective_on: date, ...others } = value;
  const version = useOrderVersion(order);
  const plan = useAct(
    touches.order,
    () =>
      told(
        api.PATCH('/api/orders/{number}', {
          params: { path: { number: order.number } },
          body: {
            version: version(),
            ...(date === was.effective_on ? {} : { effective_on: date === '' ? null : date }),
            ...Object.fromEntries(Object.entries(others).filter(([name, text]) => text !== was[name as keyof Draft])),
          },
        }),
      ),
    undefined,
    order.number,
  );
  const error = (place: string) => plan.error?.at(place);
  if (!editable) {
    return (
      <Facts
        facts={[
          ['Order', order.number],
          ['Raised by', <Person key="by" name={order.author} />],
          ['On', moment(order.raised_at)],
          ['Effective from', day(order.effective_on)],
          ['Editor', order.editor_name === null ? null : <Person key="e" name={order.editor_name} to="waits_for" />],
          ['Approval path', order.path.code === null ? null : order.path.name],
          ['Signer', order.signer_name === null ? null : <Person key="s" name={order.signer_name} to="waits_for" />],
        ]}
      />
    );
  }
  const names = (which: 'may_revise' | 'may_sign') =>
    Object.fromEntries(
      (people.data ?? []).filter((one) => one[which]).map((one) => [one.login, `${one.name}, ${one.roles.join(', ')}`]),
    );
  const offeredPaths = Object.fromEntries(
    paths
      .filter(({ code, judges, retired }) => judges === 'orders' && (!retired || code === was.path))
      .map(({ code, name }) => [code, name]),
  );
  const byRule: Record<string, string> =
    order.path.by_rule || paths.some((one) => one.judges === 'orders' && !one.retired && one.chosen_when !== null)
      ? { [BY_RULE]: order.path.by_rule ? `By rule: ${order.path.name}` : 'By rule' }
      : {};
  const changed = (Object.keys(was) as (keyof Draft)[]).some((name) => value[name] !== was[name]);

  return (
    <form
      className="max-w-4xl space-y-2"
      onSubmit={(event) => {
        event.preventDefault();
        plan.mutate(undefined);
      }}
    >
      <div className="grid gap-4 sm:grid-cols-2 lg:grid-cols-[9rem_repeat(3,minmax(0,1fr))_auto]">
        <Field label="Effective from" error={error('effective_on')}>
          <DateInput min={today()} value={date} onChange={(one) => set({ effective_on: one })} />
        </Field>
        <Field label="Editor" error={error('editor')}>
          <Select value={value.editor} onChange={(editor) => set({ editor })} options={names('may_revise')} />
        </Field>
        <Field label="Approval path" error={error('path')}>
          <Select
            value={value.path === '' ? ONE : value.path}
            onChange={(path) => set({ path: path === ONE ? '' : path })}
            options={{ [ONE]: 'One signature', ...byRule, ...offeredPaths }}
          />
        </Field>
        <Field label="Signer" error={error('signer')}>
          <Select value={value.signer} onChange={(signer) => set({ signer })} options={names('may_sign')} />
        </Field>
        <Button type="submit" className="mt-5.5" busy={plan.isPending} disabled={!changed}>
          Save
        </Button>
      </div>
      <Details summary="Title, priority and description">
        <div className="mt-2 grid gap-4 md:grid-cols-[1fr_11rem]">
          <Field label="Title" error={error('title')}>
            <Input value={value.title} onChange={(event) => set({ title: event.target.value })} />
          </Field>
          <Field label="Priority" error={error('priority')}>
            <Select value={value.priority} onChange={(priority) => set({ priority })} options={priorities} />
          </Field>
          <Field label="Description" error={error('description')} className="md:col-span-2">
            <TextArea
              rows={4}
              value={value.description}
              onChange={(event) => set({ description: event.target.value })}
            />
          </Field>
        </div>
      </Details>
      <ProblemNotice problem={plan.error} shown={Object.keys(was)} />
    </form>
  );
}
