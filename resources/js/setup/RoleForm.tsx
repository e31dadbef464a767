import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, told, type Schemas } from '../lib/api';
import { offered } from '../lib/choices';
import { queries } from '../lib/queries';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { Field } from '../ui/Field';
import { Input } from '../ui/Input';
import { ProblemNotice } from '../ui/Notice';
import { ChooseSeveral, faultWithin } from './ChooseSeveral';
import { CodeField, isCode } from './CodeField';
import { SaveOrRetire } from './SaveOrRetire';

type Rule = Schemas['RoleRule'];

/** Adds a role, or sets one: what it allows, and with which changes. */
export function RoleForm({ role, onDone }: { role: Schemas['RoleRow'] | null; onDone: () => void }) {
  const [code, setCode] = useState(role?.code ?? '');
  const [rule, setRule] = useState<Rule>({
    name: role?.name ?? '',
    abilities: role?.abilities ?? [],
    plants: role?.plants ?? [],
    categories: role?.categories ?? [],
    second_factor: role?.second_factor ?? false,
    retired: role?.retired ?? false,
  });
  const [tried, setTried] = useState(false);
  const abilities = useQuery(queries.abilities()).data ?? [];
  const categories = useQuery(queries.categories()).data ?? [];
  const set = useAct(
    touches.role,
    (body: Rule) => told(api.PUT('/api/roles/{code}', { params: { path: { code } }, body })),
    onDone,
  );
  const change = (some: Partial<Rule>) => setRule({ ...rule, ...some });
  const save = (retired: boolean) =>
    set.mutate({ ...rule, retired, ...(role === null ? {} : { version: role.version }) });
  const areas = [...new Set(abilities.map(({ area }) => area))];
  return (
    <form
      aria-label={role === null ? 'New role' : `Change ${role.name}`}
      className="space-y-3 border-y border-strong bg-sheet p-3"
      onSubmit={(event) => {
        event.preventDefault();
        setTried(true);
        if (isCode(code)) save(rule.retired);
      }}
    >
      <div className="flex flex-wrap items-start gap-3">
        {role === null && (
          <CodeField value={code} onChange={setCode} tried={tried} error={set.error?.at('code')} such="planner_weir" />
        )}
        <Field label="Name" className="w-72" error={set.error?.at('name')}>
          <Input value={rule.name} onChange={(event) => change({ name: event.target.value })} />
        </Field>
        <ChooseSeveral
          label="Limited to plants"
          chosen={rule.plants}
          options={offered('site')}
          none="Any plant"
          error={faultWithin(set.error, 'plants')}
          onChange={(plants) => change({ plants })}
        />
        <ChooseSeveral
          label="Limited to categories, with those below them"
          chosen={rule.categories}
          options={Object.fromEntries(categories.map((one) => [one.code, one.name]))}
          none="Any category"
          error={faultWithin(set.error, 'categories')}
          onChange={(chosen) => change({ categories: chosen })}
        />
      </div>
      <div className="gap-x-8 sm:columns-2 xl:columns-3">
        {areas.map((area) => (
          <fieldset key={area} className="mb-3 break-inside-avoid">
            <legend className="text-sm font-medium text-soft">{area}</legend>
            {abilities
              .filter((one) => one.area === area)
              .map((one) => (
                <label key={one.code} className="flex min-h-6 items-start gap-1.5">
                  <input
                    type="checkbox"
                    className="mt-1"
                    checked={rule.abilities.includes(one.code)}
                    onChange={(event) =>
                      change({
                        abilities: event.target.checked
                          ? [...rule.abilities, one.code]
                          : rule.abilities.filter((other) => other !== one.code),
                      })
                    }
                  />
                  {one.name}
                </label>
              ))}
          </fieldset>
        ))}
      </div>
      <label className="inline-flex min-h-8 items-center gap-1.5">
        <input
          type="checkbox"
          checked={rule.second_factor}
          onChange={(event) => change({ second_factor: event.target.checked })}
        />
        Its people must sign in with a second factor
      </label>
      <ProblemNotice problem={set.error} shown={['code', 'name', 'plants', 'categories']} />
      <SaveOrRetire
        save={role === null ? 'Add the role' : 'Save'}
        retired={role?.retired ?? null}
        busy={set.isPending}
        onRetire={save}
        onCancel={onDone}
      />
    </form>
  );
}
