import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, told, type Schemas } from '../lib/api';
import { offered } from '../lib/choices';
import { queries } from '../lib/queries';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { Field } from '../ui/Field';
import { Input } from '../ui/Input';
import { ItemList } from '../ui/ItemList';
import { ProblemNotice } from '../ui/Notice';
import { WholeInput } from '../ui/WholeInput';
import { useRecipients } from '../ui/useRecipients';
import { ChooseSeveral, faultWithin } from './ChooseSeveral';
import { CodeField, isCode } from './CodeField';
import { SaveOrRetire } from './SaveOrRetire';

type Rule = Schemas['DistributionRule'];

/** Adds a distribution list, or sets one: which changes it meets, who is on it, and whether they acknowledge. */
export function DistributionForm({
  list,
  onDone,
}: {
  list: Schemas['DistributionListRow'] | null;
  onDone: () => void;
}) {
  const [code, setCode] = useState(list?.code ?? '');
  const [rule, setRule] = useState<Rule>(
    list ?? {
      name: '',
      plants: [],
      products: [],
      categories: [],
      recipients: [],
      acknowledge: false,
      days: null,
      retired: false,
    },
  );
  const [tried, setTried] = useState(false);
  const recipients = useRecipients();
  const categories = useQuery(queries.categories()).data ?? [];
  const set = useAct(
    touches.distributionList,
    (body: Rule) => told(api.PUT('/api/distribution-lists/{code}', { params: { path: { code } }, body })),
    onDone,
  );
  const change = (some: Partial<Rule>) => setRule({ ...rule, ...some });
  const save = (retired: boolean) =>
    set.mutate({
      name: rule.name,
      plants: rule.plants,
      products: rule.products,
      categories: rule.categories,
      recipients: rule.recipients,
      acknowledge: rule.acknowledge,
      days: rule.acknowledge ? rule.days : null,
      retired,
      ...(list === null ? {} : { version: list.version }),
    });
  const at = (place: string) => set.error?.at(place);
  const within = (name: string) => faultWithin(set.error, name);
  const several = (
    name: 'plants' | 'categories' | 'recipients',
    label: string,
    options: Record<string, string>,
    none: string,
  ) => (
    <ChooseSeveral
      label={label}
      chosen={rule[name]}
      options={options}
      none={none}
      error={within(name)}
      onChange={(chosen) => change({ [name]: chosen })}
    />
  );
  return (
    <form
      aria-label={list === null ? 'New distribution list' : `Change ${list.name}`}
      className="space-y-3 border-y border-strong bg-sheet p-3"
      onSubmit={(event) => {
        event.preventDefault();
        setTried(true);
        if (isCode(code)) save(rule.retired);
      }}
    >
      <div className="flex flex-wrap items-start gap-3">
        {list === null && (
          <CodeField value={code} onChange={setCode} tried={tried} error={at('code')} such="weir_pumps" />
        )}
        <Field label="Name" className="w-72" error={at('name')}>
          <Input value={rule.name} onChange={(event) => change({ name: event.target.value })} />
        </Field>
        {several('recipients', 'Goes to', recipients, 'Nobody chosen')}
      </div>
      <fieldset className="space-y-2">
        <legend className="text-sm font-medium text-soft">Changes that it meets</legend>
        <div className="flex flex-wrap items-start gap-3">
          {several('plants', 'Plants', offered('site'), 'Any plant')}
          {several(
            'categories',
            'Categories, with those below them',
            Object.fromEntries(categories.map((one) => [one.code, one.name])),
            'Any category',
          )}
        </div>
        <ItemList
          label="Products (none: any)"
          add="Add a product"
          numbers={rule.products}
          error={within('products')}
          onChange={(products) => change({ products })}
        />
      </fieldset>
      <div className="flex flex-wrap items-end gap-4">
        <label className="inline-flex min-h-8 items-center gap-1.5">
          <input
            type="checkbox"
            checked={rule.acknowledge}
            onChange={(event) => change({ acknowledge: event.target.checked })}
          />
          They acknowledge it
        </label>
        {rule.acknowledge && (
          <Field label="Within, work days" className="w-36" error={at('days')}>
            <WholeInput value={rule.days ?? undefined} onChange={(days) => change({ days: days ?? null })} />
          </Field>
        )}
      </div>
      <ProblemNotice problem={set.error} shown={Object.keys(set.error?.errors ?? {})} />
      <SaveOrRetire
        save={list === null ? 'Add the list' : 'Save'}
        retired={list?.retired ?? null}
        busy={set.isPending}
        onRetire={save}
        onCancel={onDone}
      />
    </form>
  );
}
