import type { Schemas } from '../lib/api';
import { offered } from '../lib/choices';
import { facts, outcomes, priorities } from '../lib/words';
import { Button } from '../ui/Button';
import { DecimalInput } from '../ui/DecimalInput';
import { Field } from '../ui/Field';
import { Input } from '../ui/Input';
import { Select } from '../ui/Select';
import { Several } from '../ui/Several';

type Condition = Schemas['PathCondition'];

interface Props {
  label: string;
  /** What stands before the first condition. */
  first?: string;
  conditions: Condition[];
  error: (at: number) => string | undefined;
  onChange: (conditions: Condition[]) => void;
}

const subjectKinds = {
  engineering: 'Engineering structure',
  manufacturing: 'Manufacturing structure',
  item_data: 'Item data',
};

const classes = { interchangeable: 'interchangeable', not_interchangeable: 'not interchangeable' };

/** When a step is needed: all of these must hold; without any it always is. */
export function PathConditions({ label, first = 'Needed only if', conditions, error, onChange }: Props) {
  const set = (at: number, one: Condition) => onChange(conditions.map((old, i) => (i === at ? one : old)));
  return (
    <div className="space-y-1">
      {conditions.map((one, at) => (
        <div key={at} className="flex flex-wrap items-end gap-2">
          <Field label={at === 0 ? first : 'and if'} className="w-48">
            <Select value={one.fact} onChange={(fact) => set(at, { fact, values: [] })} options={facts} />
          </Field>
          <Values label={label} condition={one} error={error(at)} onChange={(values) => set(at, { ...one, values })} />
          <Button
            look="quiet"
            aria-label={`Remove condition ${at + 1} of ${label}`}
            onClick={() => onChange(conditions.filter((_, i) => i !== at))}
          >
            Remove
          </Button>
        </div>
      ))}
      <Button
        look="quiet"
        className="!px-0"
        onClick={() => onChange([...conditions, { fact: 'one_time_cost', values: [] }])}
      >
        Add a condition
      </Button>
    </div>
  );
}

function Values({
  label,
  condition,
  error,
  onChange,
}: {
  label: string;
  condition: Condition;
  error: string | undefined;
  onChange: (values: string[]) => void;
}) {
  const { fact, values } = condition;
  const several = (options: Readonly<Record<string, string>>) => (
    <div>
      <Several
        label={`${facts[fact]} for ${label}`}
        chosen={values.join(',')}
        options={options}
        onChange={(chosen) => onChange(chosen === '' ? [] : chosen.split(','))}
      />
      {error !== undefined && <p className="mt-0.5 text-sm text-alarm">▸ {error}</p>}
    </div>
  );
  switch (fact) {
    case 'one_time_cost':
    case 'yearly_cost':
      return (
        <Field label="from" className="w-32" error={error}>
          <DecimalInput value={values[0] ?? ''} onChange={(amount) => onChange(amount === '' ? [] : [amount])} />
        </Field>
      );
    case 'priority':
    case 'severity':
      return several(priorities);
    case 'reason':
      return several(offered('reason'));
    case 'plant':
      return several(offered('site'));
    case 'subject_kind':
      return several(subjectKinds);
    case 'outcome':
      return several(outcomes);
    case 'interchange':
      return several(classes);
    case 'category':
      return (
        <Field label="codes, separated by spaces" className="w-64" error={error}>
          <Input
            defaultValue={values.join(' ')}
            onChange={(event) => onChange(event.target.value.split(/\s+/).filter((code) => code !== ''))}
          />
        </Field>
      );
  }
}
