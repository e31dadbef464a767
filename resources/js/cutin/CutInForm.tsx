import type { ApiProblem, Schemas } from '../lib/api';
import { dispositions } from '../lib/words';
import { Button } from '../ui/Button';
import { Field } from '../ui/Field';
import { Input } from '../ui/Input';
import { ItemPicker } from '../ui/ItemPicker';
import { Select } from '../ui/Select';

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
  const text = (name: 'per_straddling_order' | 'tooling_on' | 'prescribed_on', label: string, type = 'text') => (
    <Field label={label} error={problem?.at(name)}>
      <Input
        type={type}
        placeholder={assumed[name]}
        value={question[name] ?? ''}
        onChange={(event) => onChange({ ...question, [name]: event.target.value })}
      />
    </Field>
  );
  const whole = (name: 'approval_days' | 'expedite_percent', label: string) => (
    <Field label={label} error={problem?.at(name)}>
      <Input
        inputMode="numeric"
        placeholder={assumed[name]}
        value={question[name] === undefined ? '' : String(question[name])}
        onChange={(event) => {
          const value = event.target.value.trim();
          const rest = Object.fromEntries(
            Object.entries(question).filter(([one]) => one !== name),
          ) as unknown as Question;
          onChange(value === '' ? rest : { ...question, [name]: Number(value) });
        }}
      />
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
              <Input
                value={one.ratio ?? ''}
                placeholder="1"
                onChange={(event) => pair(at, { ratio: event.target.value })}
              />
            </Field>
            <Field label="Keep for service (quantity)" error={problem?.at(`pairs.${at}.keep`)}>
              <Input
                value={one.keep ?? ''}
                placeholder="0"
                onChange={(event) => pair(at, { keep: event.target.value })}
              />
            </Field>
            <Field label="Disposition of leftover" error={problem?.at(`pairs.${at}.disposition`)}>
              <Select
                value={one.disposition ?? 'scrap'}
                onChange={(disposition) => pair(at, { disposition })}
                options={dispositions}
              />
            </Field>
            <Field label="Cost per unit" error={problem?.at(`pairs.${at}.disposal`)}>
              <Input
                value={one.disposal ?? ''}
                placeholder="default"
                onChange={(event) => pair(at, { disposal: event.target.value })}
              />
            </Field>
            <Field label="Share reworked, %" error={problem?.at(`pairs.${at}.rework_percent`)}>
              <Input
                inputMode="numeric"
                value={one.rework_percent ?? ''}
                placeholder="0"
                onChange={(event) =>
                  pair(at, { rework_percent: /^\d+$/.test(event.target.value) ? Number(event.target.value) : 0 })
                }
              />
            </Field>
            <Field label="Rework cost per unit" error={problem?.at(`pairs.${at}.rework_cost`)}>
              <Input
                value={one.rework_cost ?? ''}
                placeholder="default"
                onChange={(event) => pair(at, { rework_cost: event.target.value })}
              />
            </Field>
            <Field label="Expedite new part by (days)" error={problem?.at(`pairs.${at}.sooner_days`)}>
              <Input
                inputMode="numeric"
                value={one.sooner_days ?? ''}
                placeholder="0"
                onChange={(event) =>
                  pair(at, { sooner_days: /^\d+$/.test(event.target.value) ? Number(event.target.value) : 0 })
                }
              />
            </Field>
            <Field label="Expediting fee" error={problem?.at(`pairs.${at}.sooner_cost`)}>
              <Input
                value={one.sooner_cost ?? ''}
                placeholder="0.00"
                onChange={(event) => pair(at, { sooner_cost: event.target.value })}
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
        {whole('approval_days', 'Days until release')}
        {text('tooling_on', 'Tools ready on', 'date')}
        {text('per_straddling_order', 'Cost per order in progress')}
        {whole('expedite_percent', 'Shortage premium, %')}
        {text('prescribed_on', 'Prescribed day', 'date')}
      </div>
    </form>
  );
}
