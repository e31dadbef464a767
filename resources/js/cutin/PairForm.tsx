import type { Schemas } from '../lib/api';
import { currency } from '../lib/settings';
import { dispositions } from '../lib/words';
import { Button } from '../ui/Button';
import { DecimalInput } from '../ui/DecimalInput';
import { Field } from '../ui/Field';
import { ItemPicker } from '../ui/ItemPicker';
import { Select } from '../ui/Select';
import { WholeInput } from '../ui/WholeInput';

type Pair = Schemas['CutInQuestion']['pairs'][number];

interface Props {
  pair: Pair;
  /** Which of the pairs it is, from 0. */
  at: number;
  errorAt: (field: keyof Pair) => string | undefined;
  onChange: (change: Partial<Pair>) => void;
  /** Null where it is the only one. */
  onRemove: (() => void) | null;
}

/** An old part and the new one in its place; once both are named, what becomes of what is left over. */
export function PairForm({ pair, at, errorAt, onChange, onRemove }: Props) {
  const name = at > 0 ? ` ${at + 1}` : '';
  return (
    <fieldset className="space-y-2 border-t border-strong pt-2 first:border-t-0 first:pt-0">
      <legend className="sr-only">Pair {at + 1}</legend>
      <Field label={`Old part${name}`} error={errorAt('old')}>
        <ItemPicker
          key={pair.old}
          label={`Old part${name}`}
          initial={pair.old}
          onPick={(item) => onChange({ old: item.number })}
        />
      </Field>
      <Field label={`New part${name}`} error={errorAt('new')}>
        <ItemPicker
          key={pair.new}
          label={`New part${name}`}
          initial={pair.new}
          onPick={(item) => onChange({ new: item.number })}
        />
      </Field>
      {pair.new !== '' && (
        <div className="grid grid-cols-2 gap-2">
          <Field label="New parts per old part" error={errorAt('ratio')}>
            <DecimalInput value={pair.ratio ?? ''} placeholder="1" onChange={(ratio) => onChange({ ratio })} />
          </Field>
          <Field label="Keep for service (quantity)" error={errorAt('keep')}>
            <DecimalInput value={pair.keep ?? ''} placeholder="0" onChange={(keep) => onChange({ keep })} />
          </Field>
          <Field label="Disposition of leftover" error={errorAt('disposition')}>
            <Select
              value={pair.disposition ?? 'scrap'}
              onChange={(disposition) => onChange({ disposition })}
              options={dispositions}
            />
          </Field>
          <Field label={`Cost per unit, ${currency()}`} error={errorAt('disposal')}>
            <DecimalInput
              value={pair.disposal ?? ''}
              placeholder="default"
              onChange={(disposal) => onChange({ disposal })}
            />
          </Field>
          <Field label="Share reworked, %" error={errorAt('rework_percent')}>
            <WholeInput
              value={pair.rework_percent}
              placeholder="0"
              onChange={(rework_percent = 0) => onChange({ rework_percent })}
            />
          </Field>
          <Field label={`Rework cost per unit, ${currency()}`} error={errorAt('rework_cost')}>
            <DecimalInput
              value={pair.rework_cost ?? ''}
              placeholder="default"
              onChange={(rework_cost) => onChange({ rework_cost })}
            />
          </Field>
          <Field label="Expedite new part by (days)" error={errorAt('sooner_days')}>
            <WholeInput
              value={pair.sooner_days}
              placeholder="0"
              onChange={(sooner_days = 0) => onChange({ sooner_days })}
            />
          </Field>
          <Field label={`Expediting fee, ${currency()}`} error={errorAt('sooner_cost')}>
            <DecimalInput
              value={pair.sooner_cost ?? ''}
              placeholder="0"
              onChange={(sooner_cost) => onChange({ sooner_cost })}
            />
          </Field>
        </div>
      )}
      {onRemove && (
        <Button look="quiet" className="!h-6" onClick={onRemove}>
          Remove this pair
        </Button>
      )}
    </fieldset>
  );
}
