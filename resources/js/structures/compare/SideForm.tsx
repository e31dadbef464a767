import type { ApiProblem } from '../../lib/api';
import { FileOfSide } from './FileOfSide';
import { FIRST_PLANT, plants } from '../../lib/plants';
import { kinds } from '../../lib/words';
import { DateInput } from '../../ui/DateInput';
import { Field } from '../../ui/Field';
import { Input } from '../../ui/Input';
import { ItemPicker } from '../../ui/ItemPicker';
import { Select } from '../../ui/Select';

interface Props {
  side: 'left' | 'right';
  head: string;
  asked: Record<string, string>;
  onChange: (changes: Record<string, string>) => void;
  problem: ApiProblem | null;
}

/** What one side of a comparison is. */
export function SideForm({ side, head, asked, onChange, problem }: Props) {
  const name = (field: string) => `${side}_${field}`;
  const value = (field: string) => asked[name(field)] ?? '';
  const error = (field: string) => problem?.at(field);
  return (
    <fieldset className="min-w-0">
      <legend className="mb-1 font-semibold">{head}</legend>
      <div className="grid grid-cols-2 gap-2 md:grid-cols-4 md:[&>:first-child]:col-span-2 md:[&>:nth-child(2)]:col-span-2 md:[&>:nth-child(3)]:col-span-2">
        <Field label={`Item, ${head.toLowerCase()}`} error={error(side)}>
          <ItemPicker
            key={asked[side] ?? ''}
            label={`Item, ${head.toLowerCase()}`}
            initial={asked[side] ?? ''}
            onPick={(item) => onChange({ [side]: item.number, [name('revision')]: '', [name('order')]: '' })}
          />
        </Field>
        <Field label="Structure" error={error(name('kind'))}>
          <Select
            aria-label={`Structure, ${head.toLowerCase()}`}
            value={(value('kind') || 'engineering') as keyof typeof kinds}
            onChange={(kind) => onChange({ [name('kind')]: kind === 'engineering' ? '' : kind, [name('plant')]: '' })}
            options={kinds}
          />
        </Field>
        {value('kind') === 'manufacturing' && (
          <Field label="Plant" error={error(name('plant'))}>
            <Select
              aria-label={`Plant, ${head.toLowerCase()}`}
              value={value('plant') || FIRST_PLANT}
              onChange={(plant) => onChange({ [name('plant')]: plant === FIRST_PLANT ? '' : plant })}
              options={plants()}
            />
          </Field>
        )}
        <Field label="As of" error={error(name('on'))}>
          <DateInput
            aria-label={`As of, ${head.toLowerCase()}`}
            value={value('on')}
            onChange={(on) => onChange({ [name('on')]: on })}
          />
        </Field>
        <Typed
          label="Revision"
          head={head}
          value={value('revision')}
          error={error(name('revision'))}
          onSet={(text) => onChange({ [name('revision')]: text, [name('order')]: '' })}
        />
        <Typed
          label="After order"
          head={head}
          value={value('order')}
          error={error(name('order'))}
          onSet={(text) => onChange({ [name('order')]: text, [name('revision')]: '' })}
        />
      </div>
      <FileOfSide
        name={value('file')}
        error={error(name('file'))}
        onSet={(file, parents) => onChange({ [name('file')]: file, [side]: asked[side] ?? parents[0] ?? '' })}
      />
    </fieldset>
  );
}

interface TypedProps {
  label: string;
  head: string;
  value: string;
  error: string | undefined;
  onSet: (text: string) => void;
}

/** A field that takes effect on Enter or when it is left: every letter of it asked for would be refused. */
function Typed({ label, head, value, error, onSet }: TypedProps) {
  return (
    <Field label={label} error={error}>
      <Input
        key={value}
        aria-label={`${label}, ${head.toLowerCase()}`}
        defaultValue={value}
        onBlur={(event) => event.target.value.trim() !== value && onSet(event.target.value.trim())}
        onKeyDown={(event) => event.key === 'Enter' && onSet(event.currentTarget.value.trim())}
      />
    </Field>
  );
}
