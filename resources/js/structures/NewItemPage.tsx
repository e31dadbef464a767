import { useQuery } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import { api, told, type Schemas } from '../lib/api';
import { queries } from '../lib/queries';
import { inMoney } from '../lib/settings';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { useDraft } from '../lib/useDraft';
import { itemKinds, supplies, unitNames } from '../lib/words';
import { Button } from '../ui/Button';
import { DecimalInput } from '../ui/DecimalInput';
import { Field } from '../ui/Field';
import { Input } from '../ui/Input';
import { ProblemNotice } from '../ui/Notice';
import { Page } from '../ui/Page';
import { Select } from '../ui/Select';

type Body = Schemas['NewItem'];

interface Draft extends Record<string, unknown> {
  title: string;
  kind: Body['kind'] | '';
  category: string;
  unit: Body['unit'];
  supply: Body['supply'];
  standard_cost: string;
  lead_time_days: string;
  supplier: string;
  mass_kg: string;
  material: string;
  attributes: Record<string, string>;
}

const empty: Draft = {
  title: '',
  kind: '',
  category: '',
  unit: 'pc',
  supply: 'make',
  standard_cost: '',
  lead_time_days: '',
  supplier: '',
  mass_kg: '',
  material: '',
  attributes: {},
};

/** A new item on one page. Its number comes from the rule of its category. */
export function NewItemPage() {
  const draft = useDraft<Draft>('item', empty);
  const { value, change } = draft;
  const navigate = useNavigate();
  const categories = useQuery(queries.categories());
  const proposed = useQuery(queries.proposedNumber(value.category));
  const add = useAct(
    touches.item, // The server says which choice is missing, beside its field.
    () => told(api.POST('/api/items', { body: value as Body })),
    ({ number }) => {
      draft.clear();
      void navigate(`/items/${number}`);
    },
  );
  const error = (place: string) => add.error?.at(place);
  const category = categories.data?.find((one) => one.code === value.category);
  const text = (name: 'lead_time_days' | 'supplier' | 'material', label: string) => (
    <Field label={label} error={error(name)}>
      <Input value={value[name]} onChange={(event) => change({ [name]: event.target.value })} />
    </Field>
  );
  const decimal = (name: 'standard_cost' | 'mass_kg', label: string) => (
    <Field label={label} error={error(name)}>
      <DecimalInput value={value[name]} onChange={(typed) => change({ [name]: typed })} />
    </Field>
  );

  return (
    <Page title="New item">
      <form
        className="max-w-4xl space-y-4"
        onSubmit={(event) => {
          event.preventDefault();
          add.mutate(undefined);
        }}
      >
        <div className="grid gap-x-6 gap-y-3 md:grid-cols-[1fr_1fr_12rem]">
          <Field label="Kind" error={error('kind')}>
            <Select value={value.kind} onChange={(kind) => change({ kind })} options={itemKinds} />
          </Field>
          <Field label="Category" error={error('category')}>
            <Select
              value={value.category}
              onChange={(code) => change({ category: code, attributes: {} })}
              options={Object.fromEntries((categories.data ?? []).map((one) => [one.code, one.name]))}
            />
          </Field>
          <div>
            <p className="mb-0.5 text-sm font-medium text-soft">Number</p>
            <p role="status" className="flex h-8 items-center font-mono">
              {proposed.data?.number ?? <span className="font-sans text-soft">by the category</span>}
            </p>
          </div>
        </div>
        <Field label="Title" error={error('title')}>
          <Input value={value.title} onChange={(event) => change({ title: event.target.value })} />
        </Field>
        <div className="grid gap-x-6 gap-y-3 md:grid-cols-3">
          <Field label="Unit" error={error('unit')}>
            <Select value={value.unit} onChange={(unit) => change({ unit })} options={unitNames} />
          </Field>
          <Field label="Made or bought" error={error('supply')}>
            <Select value={value.supply} onChange={(supply) => change({ supply })} options={supplies} />
          </Field>
          {text('supplier', 'Supplier')}
          {decimal('standard_cost', inMoney('Standard cost per unit'))}
          {text('lead_time_days', 'Lead time, working days')}
          {decimal('mass_kg', 'Mass of one, kg')}
          {text('material', 'Material')}
          {category?.attributes.map((asked) => (
            <Field
              key={asked.name}
              label={asked.required ? asked.label : `${asked.label}, if known`}
              error={error(`attributes.${asked.name}`)}
            >
              <Input
                value={value.attributes[asked.name] ?? ''}
                onChange={(event) => change({ attributes: { ...value.attributes, [asked.name]: event.target.value } })}
              />
            </Field>
          ))}
        </div>
        <ProblemNotice
          problem={add.error}
          shown={[
            'title',
            'kind',
            'category',
            'unit',
            'supply',
            'standard_cost',
            'lead_time_days',
            'supplier',
            'mass_kg',
            'material',
            ...(category?.attributes ?? []).map((asked) => `attributes.${asked.name}`),
          ]}
        />
        <Button type="submit" look="main" busy={add.isPending}>
          Create item
        </Button>
      </form>
    </Page>
  );
}
