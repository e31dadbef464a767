import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, told, type Schemas } from '../lib/api';
import { queries } from '../lib/queries';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { Button } from '../ui/Button';
import { Field } from '../ui/Field';
import { Input } from '../ui/Input';
import { ProblemNotice } from '../ui/Notice';
import { faultWithin } from './ChooseSeveral';

const LOGIN = /^[a-z0-9][a-z0-9._-]{0,59}$/;

/** Adds somebody, or changes their name, address and roles, and whether they can sign in. */
export function PersonForm({ person, onDone }: { person: Schemas['PersonAccount'] | null; onDone: () => void }) {
  const roles = (useQuery(queries.roles()).data ?? []).filter(
    (one) => !one.retired || person?.roles.includes(one.code),
  );
  const [login, setLogin] = useState(person?.login ?? '');
  const [value, setValue] = useState({
    name: person?.name ?? '',
    email: person?.email ?? '',
    roles: person?.roles ?? [],
  });
  const [tried, setTried] = useState(false);
  const change = (some: Partial<typeof value>) => setValue({ ...value, ...some });
  const set = useAct(
    touches.person,
    (active: boolean) =>
      told(
        api.PUT('/api/accounts/{login}', {
          params: { path: { login } },
          body: { ...value, active, ...(person === null ? {} : { version: person.version }) },
        }),
      ),
    onDone,
  );
  const loginFault =
    tried && !LOGIN.test(login)
      ? 'A sign-in name is small letters, digits, dots, hyphens and underscores, such as ruth.amery.'
      : undefined;
  return (
    <form
      aria-label={person === null ? 'New person' : `Change ${person.name}`}
      className="space-y-3 border-y border-strong bg-sheet p-3"
      onSubmit={(event) => {
        event.preventDefault();
        setTried(true);
        if (LOGIN.test(login)) set.mutate(person?.active ?? true);
      }}
    >
      <div className="flex flex-wrap items-start gap-3">
        {person === null && (
          <Field label="Sign-in name (fixed once added)" className="w-56" error={set.error?.at('login') ?? loginFault}>
            <Input value={login} onChange={(event) => setLogin(event.target.value)} />
          </Field>
        )}
        <Field label="Name" className="w-60" error={set.error?.at('name')}>
          <Input value={value.name} onChange={(event) => change({ name: event.target.value })} />
        </Field>
        <Field label="E-mail" className="w-72" error={set.error?.at('email')}>
          <Input value={value.email} onChange={(event) => change({ email: event.target.value })} />
        </Field>
      </div>
      <fieldset>
        <legend className="text-sm font-medium text-soft">Roles</legend>
        <div className="grid gap-x-4 sm:grid-cols-3">
          {roles.map((role) => (
            <label key={role.code} className="inline-flex min-h-6 items-center gap-1.5">
              <input
                type="checkbox"
                checked={value.roles.includes(role.code)}
                onChange={(event) =>
                  change({
                    roles: event.target.checked
                      ? [...value.roles, role.code]
                      : value.roles.filter((one) => one !== role.code),
                  })
                }
              />
              {role.name}
            </label>
          ))}
        </div>
        {faultWithin(set.error, 'roles') !== undefined && (
          <p className="mt-0.5 text-sm text-alarm">▸ {faultWithin(set.error, 'roles')}</p>
        )}
      </fieldset>
      <ProblemNotice problem={set.error} shown={Object.keys(set.error?.errors ?? {})} />
      <div className="flex gap-2">
        <Button type="submit" look="main" busy={set.isPending}>
          {person === null ? 'Add the person' : 'Save'}
        </Button>
        {person !== null && (
          <>
            <Button look="quiet" busy={set.isPending} onClick={() => set.mutate(!person.active)}>
              {person.active ? 'Deactivate' : 'Reactivate'}
            </Button>
            <Button look="quiet" onClick={onDone}>
              Cancel
            </Button>
          </>
        )}
      </div>
    </form>
  );
}
