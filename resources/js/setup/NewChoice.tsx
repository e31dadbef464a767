import { useState } from 'react';
import { api, told, type Schemas } from '../lib/api';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { Button } from '../ui/Button';
import { Field } from '../ui/Field';
import { Input } from '../ui/Input';
import { ProblemNotice } from '../ui/Notice';

const words = {
  site: 'site',
  reason: 'reason',
  source: 'source',
  function: 'function',
  record: 'kind of record',
} as const;

/** Adds one to a list, under a code that stays. */
export function NewChoice({ list }: { list: Schemas['ChoiceRow']['list'] }) {
  const [value, setValue] = useState({ code: '', name: '' });
  const add = useAct(
    touches.choice,
    () => told(api.POST('/api/choices', { body: { list, ...value } })),
    () => setValue({ code: '', name: '' }),
  );
  return (
    <form
      aria-label={`New ${words[list]}`}
      className="mt-2"
      onSubmit={(event) => {
        event.preventDefault();
        add.mutate(undefined);
      }}
    >
      <div className="flex items-start gap-2">
        <Field label="Code (fixed once added)" className="w-44" error={add.error?.at('code')}>
          <Input value={value.code} onChange={(event) => setValue({ ...value, code: event.target.value })} />
        </Field>
        <Field label="Name" className="w-72" error={add.error?.at('name')}>
          <Input value={value.name} onChange={(event) => setValue({ ...value, name: event.target.value })} />
        </Field>
        <Button type="submit" className="mt-5.5" busy={add.isPending}>
          Add a {words[list]}
        </Button>
      </div>
      <ProblemNotice problem={add.error} shown={['code', 'name']} />
    </form>
  );
}
