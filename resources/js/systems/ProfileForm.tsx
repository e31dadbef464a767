import { useState } from 'react';
import { api, told, type Schemas } from '../lib/api';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { CodeField, isCode } from '../setup/CodeField';
import { SaveOrRetire } from '../setup/SaveOrRetire';
import { Field } from '../ui/Field';
import { Input } from '../ui/Input';
import { ProblemNotice } from '../ui/Notice';
import { ProfileContents } from './ProfileContents';
import { ProfilePreview } from './ProfilePreview';
import { ProfileTarget } from './ProfileTarget';
import type { ProfileRule } from './profileWords';

type Profile = Schemas['HandoverProfileRow'];

const BLANK: ProfileRule = {
  name: '',
  target: 'folder',
  address: '',
  login: '',
  host_key: '',
  moments: ['released'],
  structures: ['engineering', 'manufacturing', 'item_data'],
  plants: [],
  fields: [],
  format: 'csv',
  file_name: '{order}_{day}_{number}',
  retired: false,
};

const ruleOf = (profile: Profile): ProfileRule => ({
  name: profile.name,
  target: profile.target,
  address: profile.address,
  login: profile.login,
  host_key: profile.host_key,
  moments: profile.moments,
  structures: profile.structures,
  plants: profile.plants,
  fields: profile.fields,
  format: profile.format,
  file_name: profile.file_name,
  retired: profile.retired,
  version: profile.version,
});

/** Every field whose fault is said beside it. */
const SHOWN = [
  ...['code', 'name', 'target', 'address', 'login', 'secret', 'host_key'],
  ...['moments', 'structures', 'plants', 'fields', 'format', 'file_name'],
];

/** Adds a hand-over profile, or changes one; it is tried out on a past hand-over before it is saved. */
export function ProfileForm({ profile, onDone }: { profile: Profile | null; onDone: () => void }) {
  const [code, setCode] = useState(profile?.code ?? '');
  const [rule, setRule] = useState<ProfileRule>(profile === null ? BLANK : ruleOf(profile));
  const [tried, setTried] = useState(false);
  const set = useAct(
    touches.system,
    (body: ProfileRule) => told(api.PUT('/api/hand-over-profiles/{code}', { params: { path: { code } }, body })),
    onDone,
  );
  const change = (some: Partial<ProfileRule>) => setRule({ ...rule, ...some });
  return (
    <form
      aria-label={profile === null ? 'New hand-over profile' : `Change ${profile.name}`}
      className="space-y-4 border-y border-strong bg-sheet p-3"
      onSubmit={(event) => {
        event.preventDefault();
        setTried(true);
        if (isCode(code)) set.mutate(rule);
      }}
    >
      <div className="flex flex-wrap items-start gap-3">
        {profile === null && (
          <CodeField value={code} onChange={setCode} tried={tried} error={set.error?.at('code')} such="weir_line" />
        )}
        <Field label="Name" className="w-72" error={set.error?.at('name')}>
          <Input value={rule.name} onChange={(event) => change({ name: event.target.value })} />
        </Field>
      </div>
      <ProfileTarget rule={rule} hasSecret={profile?.has_secret ?? false} problem={set.error} onChange={change} />
      <ProfileContents rule={rule} problem={set.error} onChange={change} />
      <ProblemNotice problem={set.error} shown={SHOWN} />
      <SaveOrRetire
        save={profile === null ? 'Add the profile' : 'Save'}
        retired={profile?.retired ?? null}
        busy={set.isPending}
        onRetire={(retired) => set.mutate({ ...rule, retired })}
        onCancel={onDone}
      />
      <ProfilePreview rule={rule} code={profile === null || profile.retired ? null : profile.code} />
    </form>
  );
}
