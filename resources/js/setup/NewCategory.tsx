import { useState } from 'react';
import { api, told } from '../lib/api';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { Button } from '../ui/Button';
import { Field } from '../ui/Field';
import { Input } from '../ui/Input';
import { ProblemNotice } from '../ui/Notice';

/** Adds a category by its name; the rest is set in its row. */
export function NewCategory() {
  const [name, setName] = useState('');
  const add = useAct(
    touches.category,
    () =>
      told(api.POST('/api/categories', { body: { name, number_prefix: '', number_width: 4, number_check: false } })),
    () => setName(''),
  );
  return (
    <form
      aria-label="New category"
      className="mt-3 max-w-xl"
      onSubmit={(event) => {
        event.preventDefault();
        add.mutate(undefined);
      }}
    >
      <div className="flex items-start gap-2">
        <Field label="Name of a new category" className="w-72" error={add.error?.at('name')}>
          <Input value={name} onChange={(event) => setName(event.target.value)} />
        </Field>
        <Button type="submit" className="mt-5.5" busy={add.isPending}>
          Add
        </Button>
      </div>
      <ProblemNotice problem={add.error} shown={['name']} />
    </form>
  );
}
