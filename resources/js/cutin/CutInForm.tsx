import type { ApiProblem, Schemas } from '../lib/api';
import { FIRST_PLANT, plants } from '../lib/plants';
import { currency } from '../lib/settings';
import { Button } from '../ui/Button';
import { DateInput } from '../ui/DateInput';
import { DecimalInput } from '../ui/DecimalInput';
import { Field } from '../ui/Field';
import { Select } from '../ui/Select';
import { WholeInput } from '../ui/WholeInput';
import { PairForm } from './PairForm';
import { wholePairs } from './wholePairs';

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
    <form
      className="space-y-3 print:mb-4 print:columns-3 print:*:break-inside-avoid"
      onSubmit={(event) => event.preventDefault()}
    >
      {question.pairs.map((one, at) => (
        <PairForm
          key={at}
          pair={one}
          at={at}
          errorAt={(field) => problem?.at(`pairs.${wholePairs(question).pairs.indexOf(one)}.${field}`)}
          onChange={(change) => pair(at, change)}
          onRemove={
            question.pairs.length > 1
              ? () => onChange({ ...question, pairs: question.pairs.filter((_, i) => i !== at) })
              : null
          }
        />
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
        <Field label="Demand as built by" className="col-span-2" error={problem?.at('plant')}>
          <Select
            value={question.plant ?? FIRST_PLANT}
            onChange={(chosen) => set('plant', chosen === FIRST_PLANT ? undefined : chosen)}
            options={plants()}
          />
        </Field>
      </div>
    </form>
  );
}
