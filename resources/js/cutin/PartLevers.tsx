import type { Schemas } from '../lib/api';
import { currency } from '../lib/settings';
import { dispositions } from '../lib/words';
import { DecimalInput } from '../ui/DecimalInput';
import { Details } from '../ui/Details';
import { Field } from '../ui/Field';
import { Select } from '../ui/Select';
import { WholeInput } from '../ui/WholeInput';
import type { Said } from './question';

interface Props {
  said: Said;
  /** Where the plan knows it: whether it goes, and what is assumed of it, by lever. */
  part: Schemas['CutInPart'] | undefined;
  assumed: Record<string, string>;
  errorAt: (field: keyof Said) => string | undefined;
  onChange: (change: Partial<Said>) => void;
}

/** What can be said of one part: what becomes of it when it goes, how it can be had when it comes. */
export function PartLevers({ said, part, assumed, errorAt, onChange }: Props) {
  const decimal = (
    name: 'keep' | 'disposal' | 'rework_cost' | 'penalty' | 'sooner_most' | 'sooner_cost',
    label: string,
    none = '',
  ) => (
    <Field label={label} error={errorAt(name)}>
      <DecimalInput
        value={said[name] ?? ''}
        placeholder={assumed[name] ?? none}
        onChange={(value) => onChange({ [name]: value })}
      />
    </Field>
  );
  const wholeOf = (
    name: 'lead_days' | 'rework_percent' | 'sooner_days' | 'sooner_percent' | 'yield_percent',
    label: string,
    none = '',
  ) => (
    <Field label={label} error={errorAt(name)}>
      <WholeInput
        value={said[name]}
        placeholder={assumed[name] ?? none}
        onChange={(value) => onChange({ [name]: value })}
      />
    </Field>
  );
  const turned = Object.keys(said).length - 1;
  return (
    <Details
      className="border-t border-rule pt-1"
      open={turned > 0}
      summary={
        <span>
          <span className="font-mono text-sm">{said.item}</span>{' '}
          <span className="text-soft">{turned > 0 ? `${turned} overridden` : 'as assumed'}</span>
        </span>
      }
    >
      <div className="mt-1 grid grid-cols-2 items-end gap-2" role="group" aria-label={`Levers of ${said.item}`}>
        {part?.goes !== false && (
          <>
            {decimal('keep', 'Keep for service', '0')}
            <Field label="Disposition of leftover" error={errorAt('disposition')}>
              <Select
                value={said.disposition ?? 'use_up'}
                onChange={(disposition) => onChange({ disposition })}
                options={dispositions}
              />
            </Field>
            {decimal('disposal', `Cost of one left over, ${currency()}`)}
            {wholeOf('rework_percent', 'Share reworked, %', '0')}
            {decimal('rework_cost', `Rework cost per unit, ${currency()}`, 'default')}
          </>
        )}
        <label className="flex items-center gap-2 text-sm">
          <input
            type="checkbox"
            checked={said.no_orders ?? assumed.no_orders !== undefined}
            onChange={(event) =>
              onChange({
                no_orders:
                  event.target.checked === (assumed.no_orders !== undefined) ? undefined : event.target.checked,
              })
            }
          />
          No more orders
        </label>
        {wholeOf('lead_days', 'Lead time, working days', 'not known')}
        {wholeOf('yield_percent', 'Yield, %', '100')}
        {decimal('penalty', `Cost of one missing, ${currency()}`, 'default')}
        {wholeOf('sooner_days', 'Expedite by, working days', '0')}
        {(said.sooner_days ?? 0) > 0 && (
          <>
            {decimal('sooner_most', 'At most (quantity)', 'any')}
            {wholeOf('sooner_percent', 'Premium per unit, %', '0')}
            {decimal('sooner_cost', `Expediting fee, ${currency()}`, '0')}
          </>
        )}
      </div>
    </Details>
  );
}
