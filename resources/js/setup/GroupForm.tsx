import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, told, type Schemas } from '../lib/api';
import { queries } from '../lib/queries';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { Field } from '../ui/Field';
import { Input } from '../ui/Input';
import { ProblemNotice } from '../ui/Notice';
import { CodeField, isCode } from './CodeField';
import { SaveOrRetire } from './SaveOrRetire';

/** Adds a group, or changes one: its name, its people, and whether it is offered. */
export function GroupForm({ group, onDone }: { group: Schemas['GroupRow'] | null; onDone: () => void }) {
  const people = useQuery(queries.people()).data ?? [];
  const [code, setCode] = useState(group?.code ?? '');
  const [name, setName] = useState(group?.name ?? '');
  const [members, setMembers] = useState(group?.members ?? []);
  const set = useAct(
    touches.group,
    (retired: boolean) =>
      told(
        api.PUT('/api/groups/{code}', {
          params: { path: { code } },
          body: { name, members, retired, ...(group === null ? {} : { version: group.version }) },
        }),
      ),
    onDone,
  );
  const [tried, setTried] = useState(false);
  return (
    <form
      aria-label={group === null ? 'New group' : `Change ${group.name}`}
      className="space-y-3 border-y border-strong bg-sheet p-3"
      onSubmit={(event) => {
        event.preventDefault();
        setTried(true);
        if (isCode(code)) set.mutate(group?.retired ?? false);
      }}
    >
      <div className="flex items-start gap-2">
        {group === null && (
          <CodeField value={code} onChange={setCode} tried={tried} error={set.error?.at('code')} such="tarn_buyers" />
        )}
        <Field label="Name" className="w-72" error={set.error?.at('name')}>
          <Input value={name} onChange={(event) => setName(event.target.value)} />
        </Field>
      </div>
      <fieldset>
        <legend className="text-sm font-medium text-soft">People</legend>
        <div className="grid grid-cols-3 gap-x-4">
          {people.map((person) => (
            <label key={person.login} className="inline-flex min-h-6 items-center gap-1.5">
              <input
                type="checkbox"
                checked={members.includes(person.login)}
                onChange={(event) =>
                  setMembers(
                    event.target.checked ? [...members, person.login] : members.filter((one) => one !== person.login),
                  )
                }
              />
              {person.name} <span className="text-sm text-soft">{person.roles.join(', ')}</span>
            </label>
          ))}
        </div>
      </fieldset>
      <ProblemNotice problem={set.error} shown={['code', 'name']} />
      <SaveOrRetire
        save={group === null ? 'Add a group' : 'Save'}
        retired={group?.retired ?? null}
        busy={set.isPending}
        onRetire={set.mutate}
        onCancel={onDone}
      />
    </form>
  );
}
