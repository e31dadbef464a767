import type { Schemas } from '../lib/api';
import { meanings } from '../lib/words';
import { Field } from '../ui/Field';
import { Input } from '../ui/Input';
import { Select } from '../ui/Select';
import type { Signing } from './useSigning';

interface Props {
  path: Schemas['PathPicture'];
  signing: Signing;
  error: (field: string) => string | undefined;
}

/** What whoever signs a step says with it: which step, what their signature means, its check list, and their password. */
export function StepToSign({ path, signing, error }: Props) {
  const { step, ticked, password } = signing;
  const here = path.steps[step];
  return (
    <>
      {path.signable.length > 1 && (
        <Field label="Step" error={error('step')}>
          <Select
            value={String(step)}
            onChange={(next) => signing.setStep(Number(next))}
            options={Object.fromEntries(path.signable.map((one) => [String(one), path.steps[one]?.name ?? '']))}
          />
        </Field>
      )}
      {path.code !== null && here !== undefined && (
        <p>
          Your signature means: <b className="font-semibold">{meanings[here.meaning]}</b> ({here.name}).
        </p>
      )}
      {here !== undefined && here.checks.length > 0 && (
        <fieldset>
          <legend className="text-sm font-medium text-soft">Check list</legend>
          {here.checks.map((row) => (
            <label key={row} className="flex min-h-6 items-center gap-1.5">
              <input
                type="checkbox"
                checked={ticked.includes(row)}
                onChange={(event) =>
                  signing.setTicked(event.target.checked ? [...ticked, row] : ticked.filter((one) => one !== row))
                }
              />
              {row}
            </label>
          ))}
          {error('checks') && <p className="text-sm text-alarm">▸ {error('checks')}</p>}
        </fieldset>
      )}
      {here?.with_password !== false && (
        <Field label="Your password" error={error('password')}>
          <Input
            type="password"
            autoComplete="current-password"
            value={password}
            onChange={(event) => signing.setPassword(event.target.value)}
          />
        </Field>
      )}
    </>
  );
}
