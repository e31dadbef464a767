import { useState } from 'react';
import { api, told, type Schemas } from '../lib/api';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { sequences, takenOver } from '../lib/words';
import { Button } from '../ui/Button';
import { Field } from '../ui/Field';
import { Input } from '../ui/Input';
import { ProblemNotice } from '../ui/Notice';
import { Select } from '../ui/Select';
import { UsualDispositions } from './UsualDispositions';

const AS_KIND = 'as_kind';
const AS_OVER = 'as_over';
const NONE = 'none';

const namesOf = (categories: Props['categories']) =>
  Object.fromEntries(categories.map(({ code, name }) => [code, name]));

interface Props {
  category: Schemas['CategoryRow'];
  categories: Schemas['CategoryRow'][];
  onDone: () => void;
}

/** The settings of one category. */
export function CategoryForm({ category, categories, onDone }: Props) {
  const [rule, setRule] = useState({
    name: category.name,
    under: category.under ?? NONE,
    number_prefix: category.number_prefix,
    number_width: String(category.number_width),
    number_check: category.number_check,
    sequence: category.sequence ?? AS_KIND,
    taken_over: category.taken_over ?? AS_OVER,
    taken_over_reason: category.taken_over_reason,
    attributes: category.attributes,
    dispositions: category.dispositions.map((one) => ({ ...one, per_unit: one.per_unit ?? '' })),
  });
  const save = useAct(
    touches.category,
    () =>
      told(
        api.PATCH('/api/categories/{code}', {
          params: { path: { code: category.code } },
          body: {
            ...rule,
            version: category.version,
            under: rule.under === NONE ? null : rule.under,
            number_width: Number(rule.number_width),
            taken_over: rule.taken_over === AS_OVER ? null : (rule.taken_over as keyof typeof takenOver),
            sequence: rule.sequence === AS_KIND ? null : (rule.sequence as keyof typeof sequences),
          },
        }),
      ),
    onDone,
  );
  const ask = (at: number, change: Partial<Schemas['AskedAttribute']>) =>
    setRule({ ...rule, attributes: rule.attributes.map((one, i) => (i === at ? { ...one, ...change } : one)) });
  const shown = [
    ...rule.attributes.flatMap((_, at) => [`attributes.${at}.label`, `attributes.${at}.required`]),
    ...rule.dispositions.map((_, at) => `dispositions.${at}.per_unit`),
  ];
  return (
    <form
      aria-label={`Settings of ${category.name}`}
      className="space-y-3"
      onSubmit={(event) => {
        event.preventDefault();
        save.mutate(undefined);
      }}
    >
      <div className="flex flex-wrap items-start gap-4">
        <Field label="Name" className="w-36" error={save.error?.at('name')}>
          <Input value={rule.name} onChange={(event) => setRule({ ...rule, name: event.target.value })} />
        </Field>
        <Field label="Under" className="w-48" error={save.error?.at('under')}>
          <Select
            value={rule.under}
            onChange={(under) => setRule({ ...rule, under })}
            options={{ [NONE]: 'None', ...namesOf(categories.filter(({ code }) => code !== category.code)) }}
          />
        </Field>
        <Field label="Number prefix" className="w-36" error={save.error?.at('number_prefix')}>
          <Input
            value={rule.number_prefix}
            onChange={(event) => setRule({ ...rule, number_prefix: event.target.value })}
          />
        </Field>
        <Field label="Counter digits" className="w-36" error={save.error?.at('number_width')}>
          <Input
            value={rule.number_width}
            onChange={(event) => setRule({ ...rule, number_width: event.target.value })}
          />
        </Field>
        <Field label="Revisions" className="w-64" error={save.error?.at('sequence')}>
          <Select
            value={rule.sequence}
            onChange={(sequence) => setRule({ ...rule, sequence })}
            options={{ [AS_KIND]: 'As the kind of the item says', ...sequences }}
          />
        </Field>
        <label className="mt-7 flex items-center gap-2">
          <input
            type="checkbox"
            checked={rule.number_check}
            onChange={(event) => setRule({ ...rule, number_check: event.target.checked })}
          />
          Check digit
        </label>
      </div>
      <div className="flex flex-wrap items-start gap-4">
        <Field label="Plants take it over" className="w-64" error={save.error?.at('taken_over')}>
          <Select
            value={rule.taken_over}
            onChange={(taken) => setRule({ ...rule, taken_over: taken })}
            options={{ [AS_OVER]: 'As the category above says', ...takenOver }}
          />
        </Field>
        {rule.taken_over === 'left_out' && (
          <Field label="Reason on record" className="w-96" error={save.error?.at('taken_over_reason')}>
            <Input
              value={rule.taken_over_reason}
              onChange={(event) => setRule({ ...rule, taken_over_reason: event.target.value })}
            />
          </Field>
        )}
      </div>
      <fieldset className="space-y-1.5">
        <legend className="text-sm font-medium text-soft">Required attributes</legend>
        {rule.attributes.map((asked, at) => (
          <div key={asked.name || at} className="flex flex-wrap items-start gap-3">
            <Field
              label={`Name of attribute ${at + 1}`}
              className="w-64"
              error={save.error?.at(`attributes.${at}.label`)}
            >
              <Input value={asked.label} onChange={(event) => ask(at, { label: event.target.value })} />
            </Field>
            <label className="mt-7 flex items-center gap-2">
              <input
                type="checkbox"
                checked={asked.required}
                onChange={(event) => ask(at, { required: event.target.checked })}
              />
              required
            </label>
            <Button
              look="quiet"
              className="mt-5.5"
              aria-label={`Remove attribute ${asked.label}`}
              onClick={() => setRule({ ...rule, attributes: rule.attributes.filter((_, i) => i !== at) })}
            >
              Remove attribute
            </Button>
          </div>
        ))}
        <Button
          onClick={() =>
            setRule({ ...rule, attributes: [...rule.attributes, { name: '', label: '', required: false }] })
          }
        >
          Add an attribute
        </Button>
      </fieldset>
      <UsualDispositions
        rows={rule.dispositions}
        onChange={(dispositions) => setRule({ ...rule, dispositions })}
        error={(place) => save.error?.at(place)}
      />
      <span className="flex gap-2">
        <Button type="submit" look="main" busy={save.isPending}>
          Save
        </Button>
        <Button look="quiet" onClick={onDone}>
          Cancel
        </Button>
      </span>
      <ProblemNotice
        problem={save.error}
        shown={[
          'name',
          'under',
          'number_prefix',
          'number_width',
          'sequence',
          'taken_over',
          'taken_over_reason',
          ...shown,
        ]}
      />
    </form>
  );
}
