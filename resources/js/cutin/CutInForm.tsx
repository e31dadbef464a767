import type { ApiProblem, Schemas } from '../lib/api';
import { currency } from '../lib/settings';
import { Button } from '../ui/Button';
import { DateInput } from '../ui/DateInput';
import { DecimalInput } from '../ui/DecimalInput';
import { Field } from '../ui/Field';
import { Select } from '../ui/Select';
import { WholeInput } from '../ui/WholeInput';
import { PartLevers } from './PartLevers';
import { isSaid, partsOf, say, saidOf, turn, type Question, type Swap } from './question';
import { SwapForm } from './SwapForm';

interface Props {
  question: Question;
  onChange: (question: Question) => void;
  problem: ApiProblem | null;
  /** The last answer: what is assumed where nobody says otherwise. */
  page: Schemas['CutInPage'] | undefined;
}

/** What goes and what comes, and the levers one may turn. */
export function CutInForm({ question, onChange, problem, page }: Props) {
  const change = (at: number, swap: Swap) =>
    onChange({ ...question, swaps: question.swaps.map((one, i) => (i === at ? swap : one)) });
  const set = <Name extends keyof Question>(name: Name, value: Question[Name] | undefined) =>
    onChange(turn(question, name, value));
  const assumedOf = (item: string) =>
    Object.fromEntries(
      (page?.assumptions ?? [])
        .filter((one) => one.item === item && one.lever !== null && one.from !== 'person')
        .map((one) => [one.lever ?? '', one.value]),
    );
  const general = assumedOf('');
  const parts = partsOf(question);
  const known = page?.plants.flatMap((plant) => plant.parts) ?? [];
  const errorOf = (item: string, field: string) =>
    problem?.at(`parts.${(question.parts ?? []).findIndex((one) => one.item === item)}.${field}`);
  const setDay = (name: 'tooling_on' | 'prescribed_on', label: string) => (
    <Field label={label} error={problem?.at(name)}>
      <DateInput value={question[name] ?? ''} onChange={(value) => set(name, value)} />
    </Field>
  );
  const setWhole = (name: 'approval_days' | 'shortage_percent', label: string) => (
    <Field label={label} error={problem?.at(name)}>
      <WholeInput placeholder={general[name]} value={question[name]} onChange={(value) => set(name, value)} />
    </Field>
  );
  const check = (name: 'at_risk' | 'late_from_stock', label: string) => (
    <label className="flex items-start gap-2 text-sm">
      <input
        type="checkbox"
        className="mt-0.5"
        checked={question[name] ?? false}
        onChange={(event) => set(name, event.target.checked ? true : undefined)}
      />
      {label}
    </label>
  );
  return (
    <form
      className="space-y-3 print:mb-4 print:columns-3 print:*:break-inside-avoid"
      onSubmit={(event) => event.preventDefault()}
    >
      {question.swaps.map((swap, at) => (
        <SwapForm
          key={at}
          swap={swap}
          at={at}
          asked={isSaid(swap) ? question.swaps.slice(0, at).filter(isSaid).length : -1}
          problem={problem}
          onChange={(next) => change(at, next)}
          onRemove={
            question.swaps.length > 1
              ? () => onChange({ ...question, swaps: question.swaps.filter((_, i) => i !== at) })
              : null
          }
        />
      ))}
      <Button onClick={() => onChange({ ...question, swaps: [...question.swaps, { gone: [], come: [{ item: '' }] }] })}>
        Add a swap that cuts in together
      </Button>
      {parts.length > 0 && (
        <div className="space-y-1">
          {parts.map((item) => (
            <PartLevers
              key={item}
              said={saidOf(question, item)}
              part={known.find((one) => one.item.number === item)}
              assumed={assumedOf(item)}
              errorAt={(field) => errorOf(item, field)}
              onChange={(said) => onChange(say(question, item, said))}
            />
          ))}
        </div>
      )}
      <div className="grid grid-cols-2 items-end gap-2 border-t border-strong pt-2">
        {setWhole('approval_days', 'Working days until release')}
        {setDay('tooling_on', 'Tools ready on')}
        <Field label={`Cost per order in progress, ${currency()}`} error={problem?.at('per_straddling_order')}>
          <DecimalInput
            placeholder={general.per_straddling_order}
            value={question.per_straddling_order ?? ''}
            onChange={(value) => set('per_straddling_order', value)}
          />
        </Field>
        {setWhole('shortage_percent', 'Cost of one missing, % of its cost')}
        {setDay('prescribed_on', 'Prescribed day')}
        <Field label="Days planned ahead" error={problem?.at('look_ahead')}>
          <WholeInput
            placeholder={general.look_ahead}
            value={question.look_ahead}
            onChange={(value) => set('look_ahead', value)}
          />
        </Field>
        <Field className="col-span-2" label="Cost difference new vs old" error={problem?.at('cost_difference')}>
          <Select
            value={question.cost_difference ?? 'auto'}
            onChange={(value) => set('cost_difference', value === 'auto' ? undefined : value)}
            options={{
              auto: 'Counts where the change saves',
              counts: 'Always counts for the best day',
              ignored: 'Never counts for the best day',
            }}
          />
        </Field>
      </div>
      {check('at_risk', 'Order new parts before release, at risk')}
      {check('late_from_stock', 'Late demand takes stock first')}
    </form>
  );
}
