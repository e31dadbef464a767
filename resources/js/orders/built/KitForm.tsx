import { useState } from 'react';
import { count, quantity } from '../../lib/format';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { ItemPicker } from '../../ui/ItemPicker';
import { ProblemNotice } from '../../ui/Notice';
import { ItemNumber } from '../../ui/Num';
import { Select } from '../../ui/Select';
import { NOWHERE, operationOptions } from './operationOptions';
import type { BuiltRedline } from './useBuilt';
import { useKit } from './useKit';

/** Lines at one operation go into a kit that only manufacturing has, which takes their place. */
export function KitForm({ redline, onDone }: { redline: BuiltRedline; onDone: () => void }) {
  const gather = useKit(redline);
  const [operation, setOperation] = useState('');
  const [lines, setLines] = useState<string[]>([]);
  const [kit, setKit] = useState('');
  const options = operationOptions(redline.operations);
  const at = operation || (Object.keys(options)[0] ?? NOWHERE);
  const there = redline.rows.filter(
    ({ after }) => after !== null && (after.operation === null ? NOWHERE : String(after.operation)) === at,
  );
  const turn = (key: string) =>
    setLines((before) => (before.includes(key) ? before.filter((one) => one !== key) : [...before, key]));
  return (
    <form
      aria-label="Gather into a kit"
      className="mb-3 border-y border-strong bg-sheet p-3"
      onSubmit={(event) => {
        event.preventDefault();
        gather.mutate({ kit, lines }, { onSuccess: onDone });
      }}
    >
      <div className="flex flex-wrap items-start gap-3">
        <Field label="Operation" className="w-64">
          <Select
            value={at}
            onChange={(next) => {
              setOperation(next);
              setLines([]);
            }}
            options={options}
          />
        </Field>
        <Field label="Kit" className="w-80" error={gather.error?.at('kit')}>
          <ItemPicker label="Kit" placeholder="Number or title of the kit" onPick={(item) => setKit(item.number)} />
        </Field>
      </div>
      <fieldset className="mt-2">
        <legend className="text-sm font-medium text-soft">Lines that go into it</legend>
        {there.length === 0 && <p className="text-soft">No line is consumed there.</p>}
        {there.map(({ key, after, item }) => (
          <label key={key} className="flex min-h-6 items-baseline gap-2">
            <input type="checkbox" checked={lines.includes(key)} onChange={() => turn(key)} />
            <span className="w-8 text-right tabular-nums">{after?.find}</span>
            <ItemNumber number={after?.component ?? ''} /> {item?.title}
            <span className="text-soft">
              {quantity(after?.quantity ?? '')} {after?.unit}
            </span>
          </label>
        ))}
        {gather.error?.at('lines') !== undefined && <p className="text-sm text-alarm">▸ {gather.error.at('lines')}</p>}
      </fieldset>
      <ProblemNotice problem={gather.error} shown={['kit', 'lines']} />
      <div className="mt-2 flex gap-2">
        <Button look="main" type="submit" busy={gather.isPending} disabled={kit === '' || lines.length === 0}>
          Gather {count(lines.length)} into {kit || 'the kit'}
        </Button>
        <Button look="quiet" onClick={onDone}>
          Cancel
        </Button>
      </div>
    </form>
  );
}
