import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { api, told, type ApiProblem } from '../lib/api';
import { Button } from '../ui/Button';
import { Field } from '../ui/Field';
import { Input } from '../ui/Input';
import { Notice, ProblemNotice } from '../ui/Notice';
import { Door } from '../ui/Door';

/** Where the address in a mail leads: a password is chosen, by who has the mail. */
export function NewPasswordPage() {
  // What stands behind the sign of the fragment never reached a server.
  const [said] = useState(() => new URLSearchParams(window.location.hash.slice(1)));
  const login = said.get('login') ?? '';
  const [password, setPassword] = useState('');
  const set = useMutation<unknown, ApiProblem>({
    mutationFn: () => told(api.POST('/api/password', { body: { login, token: said.get('token') ?? '', password } })),
  });
  return (
    <Door title="New password">
      {set.isSuccess ? (
        <div className="space-y-4">
          <Notice look="good">Your password is saved.</Notice>
          <p>
            <a href="/" className="text-accent underline">
              Sign in as {login}
            </a>
          </p>
        </div>
      ) : (
        <form
          aria-label="Choose a password"
          className="space-y-3"
          onSubmit={(event) => {
            event.preventDefault();
            set.mutate();
          }}
        >
          <Field label="Sign-in name">
            <Input readOnly autoComplete="username" value={login} />
          </Field>
          <Field label="New password" error={set.error?.at('password')}>
            <Input
              type="password"
              autoComplete="new-password"
              value={password}
              onChange={(event) => setPassword(event.target.value)}
            />
          </Field>
          <p className="text-sm text-soft">Long is good: a sentence of your own, without your name.</p>
          <ProblemNotice problem={set.error} shown={['password']} />
          <Button type="submit" look="main" busy={set.isPending}>
            Save password
          </Button>
        </form>
      )}
    </Door>
  );
}
