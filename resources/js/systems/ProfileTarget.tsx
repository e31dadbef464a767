import type { ApiProblem } from '../lib/api';
import { Field } from '../ui/Field';
import { Input, TextArea } from '../ui/Input';
import { Select } from '../ui/Select';
import { targets, type ProfileRule } from './profileWords';

interface Props {
  rule: ProfileRule;
  /** What opens the target is set; it is never shown. */
  hasSecret: boolean;
  problem: ApiProblem | null;
  onChange: (some: Partial<ProfileRule>) => void;
}

const such = { folder: 'weir/changes', sftp: 'sftp.example:22/incoming', http: 'https://' } as const;
const secrets = { sftp: 'Password, or private key (PEM)', http: 'Bearer token' } as const;

/** Where the files of a profile go, and what opens it. */
export function ProfileTarget({ rule, hasSecret, problem, onChange }: Props) {
  return (
    <div className="flex flex-wrap items-start gap-3">
      <Field label="Where" className="w-56" error={problem?.at('target')}>
        <Select value={rule.target} onChange={(target) => onChange({ target, address: '' })} options={targets} />
      </Field>
      <Field
        label={rule.target === 'http' ? 'Address' : rule.target === 'sftp' ? 'Host, port and folder' : 'Folder'}
        className="w-80 max-w-full"
        error={problem?.at('address')}
      >
        <Input
          value={rule.address}
          placeholder={such[rule.target]}
          onChange={(event) => onChange({ address: event.target.value })}
        />
      </Field>
      {rule.target === 'sftp' && (
        <>
          <Field label="Sign-in name" className="w-40" error={problem?.at('login')}>
            <Input value={rule.login ?? ''} onChange={(event) => onChange({ login: event.target.value })} />
          </Field>
          <Field label="Fingerprint of the host" className="w-80 max-w-full" error={problem?.at('host_key')}>
            <Input
              value={rule.host_key ?? ''}
              placeholder="SHA256:"
              onChange={(event) => onChange({ host_key: event.target.value })}
            />
          </Field>
        </>
      )}
      {rule.target !== 'folder' && (
        <Field
          label={secrets[rule.target]}
          className="w-72"
          error={problem?.at('secret')}
          hint={hasSecret ? 'One is set. Leave empty to keep it.' : ''}
        >
          <TextArea
            rows={rule.target === 'sftp' ? 3 : 1}
            className="font-mono text-[0.84rem]"
            autoComplete="off"
            spellCheck={false}
            value={rule.secret ?? ''}
            onChange={(event) =>
              onChange({ secret: event.target.value === '' ? null : event.target.value, keep_secret: true })
            }
          />
        </Field>
      )}
      {rule.target === 'http' && hasSecret && (rule.secret ?? null) === null && (
        <label className="mt-5 inline-flex min-h-8 items-center gap-1.5">
          <input
            type="checkbox"
            checked={rule.keep_secret === false}
            onChange={(event) => onChange({ keep_secret: !event.target.checked })}
          />
          Remove the token
        </label>
      )}
    </div>
  );
}
