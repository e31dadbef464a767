import { useState } from 'react';
import { api, told } from '../lib/api';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { Button } from '../ui/Button';
import { Field } from '../ui/Field';
import { Input } from '../ui/Input';
import { Notice, ProblemNotice } from '../ui/Notice';

/** Another password in place of the one before. */
export function PasswordForm() {
  const [current, setCurrent] = useState('');
  const [password, setPassword] = useState('');
  const set = useAct(
    touches.signIns,
    () => told(api.PUT('/api/session/password', { body: { current, password } })),
    () => {
      setCurrent('');
      setPassword('');
    },
  );
  return (
    <form
      aria-label="Change password"
      className="space-y-3"
      onSubmit={(event) => {
        event.preventDefault();
        set.mutate(undefined);
      }}
    >
      <div className="flex flex-wrap items-start gap-3">
        <Field label="Current password" className="w-64" error={set.error?.at('current')}>
          <Input
            type="password"
            autoComplete="current-password"
            value={current}
            onChange={(event) => setCurrent(event.target.value)}
          />
        </Field>
        <Field label="New password" className="w-64" error={set.error?.at('password')}>
          <Input
            type="password"
            autoComplete="new-password"
            value={password}
            onChange={(event) => setPassword(event.target.value)}
          />
        </Field>
      </div>
      <p className="text-sm text-soft">
        Long is good: a sentence of your own, without your name. All your other sign-ins and tokens end.
      </p>
      <ProblemNotice problem={set.error} shown={['current', 'password']} />
      {set.isSuccess && <Notice look="good">Your password is saved.</Notice>}
      <Button type="submit" busy={set.isPending}>
        Save password
      </Button>
    </form>
  );
}
