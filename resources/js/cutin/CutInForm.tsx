import type { ApiProblem, Schemas } from '../lib/api';
import { currency } from '../lib/settings';
import { dispositions } from '../lib/words';
import { Button } from '../ui/Button';
import { DateInput } from '../ui/DateInput';
import { DecimalInput } from '../ui/DecimalInput';
import { Field } from '../ui/Field';

import { ItemPicker } from '../ui/ItemPicker';
import { Select } from '../ui/Select';
import { WholeInput } from '../ui/WholeInput';

type Question = Schemas['CutInQuestion'];
type Pair = Question['pairs'][number];

interface Props {
  question: Question;
  onChange: (question: Question) => void;
  problem: ApiProblem | null;
  /** What is taken where nobody says otherwise, by lever. */
  assumed: Record<string, string>;
}

/** Which parts take the place of which, and the levers one may turn. */
export function CutInForm({ question, onChange, problem, assumed }: Props) {
  const pair = (at: number, change: Partial<Pair>) =>
    onChange({ ...question, pairs: question.pairs.map((one, i) => (i === at ? { ...one, ...change } : one)) });
  const set = <Name extends keyof Question>(name: Name, value: Question[Name] | undefined) => {
    const others = Object.fromEntries(Object.entries(question).filter(([one]) => one !== name)) as unknown as Question;
    onChange(value === undefined ? others : { ...question, [name]: value });
  };
  const setDay = (name: 'tooling_on' | 'prescribed_on', label: string) => (
    <Field label={label} error={problem?.at(name)}>
      <DateInput value={question[name] ?? ''} onChange={(value) => set(name, value)} />
    </Field>
  );
  const setWhole = (name: 'approval_days' | 'expedite_percent', label: string) => (
    <Field label={label} error={problem?.at(name)}>
      <WholeInput placeholder={assumed[name]} value={question[name]} onChange={(value) => set(name, value)} />
    </Field>
  );
  return (
    <form className="space-y-3" onSubmit={(event) => event.preventDefault()}>
      {question.pairs.map((one, at) => (
        <fieldset key={at} className="space-y-2 border-t border-strong pt-2 first:border-t-0 first:pt-0">
          <legend className="sr-only">Pair {at + 1}</legend>
          <Field label={`Old part${at > 0 ? ` ${at + 1}` : ''}`} error={problem?.at(`pairs.${at}.old`)}>
            <ItemPicker
              key={one.old}
              label={`Old part${at > 0 ? ` ${at + 1}` : ''}`}
              initial={one.old}
              onPick={(item) => pair(at, { old: item.number })}
            />
          </Field>
          <Field label={`New part${at > 0 ? ` ${at + 1}` : ''}`} error={problem?.at(`pairs.${at}.new`)}>
            <ItemPicker
              key={one.new}
              label={`New part${at > 0 ? ` ${at + 1}` : ''}`}
              initial={one.new}
              onPick={(item) => pair(at, { new: item.number })}
            />
          </Field>
          <div className="grid grid-cols-2 gap-2">
            <Field label="New parts per old part" error={problem?.at(`pairs.${at}.ratio`)}>
              <DecimalInput value={one.ratio ?? ''} placeholder="1" onChange={(ratio) => pair(at, { ratio })} />
            </Field>
            <Field label="Keep for service (quantity)" error={problem?.at(`pairs.${at}.keep`)}>
              <DecimalInput value={one.keep ?? ''} placeholder="0" onChange={(keep) => pair(at, { keep })} />
            </Field>
            <Field label="Disposition of leftover" error={problem?.at(`pairs.${at}.disposition`)}>
              <Select
                value={one.disposition ?? 'scrap'}
                onChange={(disposition) => pair(at, { disposition })}
                options={dispositions}
              />
            </Field>
            <Field label={`Cost per unit, ${currency()}`} error={problem?.at(`pairs.${at}.disposal`)}>
              <DecimalInput
                value={one.disposal ?? ''}
                placeholder="default"
                onChange={(disposal) => pair(at, { disposal })}
              />
            </Field>
            <Field label="Share reworked, %" error={problem?.at(`pairs.${at}.rework_percent`)}>
              <WholeInput
                value={one.rework_percent}
                placeholder="0"
                onChange={(rework_percent = 0) => pair(at, { rework_percent })}
              />
            </Field>
            <Field label={`Rework cost per unit, ${currency()}`} error={problem?.at(`pairs.${at}.rework_cost`)}>
              <DecimalInput
                value={one.rework_cost ?? ''}
                placeholder="default"
                onChange={(rework_cost) => pair(at, { rework_cost })}
              />
            </Field>
            <Field label="Expedite new part by (days)" error={problem?.at(`pairs.${at}.sooner_days`)}>
              <WholeInput
                value={one.sooner_days}
                placeholder="0"
                onChange={(sooner_days = 0) => pair(at, { sooner_days })}
              />
            </Field>
            <Field label={`Expediting fee, ${currency()}`} error={problem?.at(`pairs.${at}.sooner_cost`)}>
              <DecimalInput
                value={one.sooner_cost ?? ''}
                placeholder="0"
                onChange={(sooner_cost) => pair(at, { sooner_cost })}
              />
            </Field>
          </div>
          {question.pairs.length > 1 && (
            <Button
              look="quiet"
              className="!h-6"
              onClick={() => onChange({ ...question, pairs: question.pairs.filter((_, i) => i !== at) })}
            >
              Remove this pair
            </Button>
          )}
        </fieldset>
      ))}
      <Button onClick={() => onChange({ ...question, pairs: [...question.pairs, { old: '', new: '' }] })}>
        Add a pair that cuts in together
      </Button>
      <div className="grid grid-cols-2 gap-2 border-t border-strong pt-2">
        {setWhole('approval_days', 'Days until release')}
        {setDay('tooling_on', 'Tools ready on')}
        <Field label={`Cost per order in progress, ${currency()}`} error={problem?.at('per_straddling_order')}>
          <DecimalInput
            placeholder={assumed.per_straddling_order}
            value={question.per_straddling_order ?? ''}
            onChange={(value) => set('per_straddling_order', value)}
          />
        </Field>
        {setWhole('expedite_percent', 'Shortage premium, %')}
        {setDay('prescribed_on', 'Prescribed day')}
      </div>
    </form>
  );
}
