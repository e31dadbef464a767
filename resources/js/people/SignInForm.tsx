import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { api, told, type ApiProblem, type Schemas } from '../lib/api';
import { Button } from '../ui/Button';
import { Field } from '../ui/Field';
import { Input } from '../ui/Input';
import { ProblemNotice } from '../ui/Notice';

/** Name and password; a code, once the server has asked for it. */
export function SignInForm({ name = '', onSignedIn }: { name?: string; onSignedIn: (me: Schemas['Me']) => void }) {
  const [login, setLogin] = useState(name);
  const [password, setPassword] = useState('');
  const [code, setCode] = useState('');
  const [asked, setAsked] = useState(false);
  const signIn = useMutation<Schemas['Me'], ApiProblem>({
    mutationFn: () => told(api.POST('/api/session', { body: { login, password, ...(asked ? { code } : {}) } })),
    onSuccess: onSignedIn,
    onError: (problem) => {
      if (problem.at('code') !== undefined) setAsked(true);
    },
  });
  return (
    <form
      className="space-y-3"
      onSubmit={(event) => {
        event.preventDefault();
        signIn.mutate();
      }}
    >
      <Field label="Sign-in name" error={signIn.error?.at('login')}>
        <Input autoComplete="username" value={login} onChange={(event) => setLogin(event.target.value)} />
      </Field>
      <Field label="Password" error={signIn.error?.at('password')}>
        <Input
          type="password"
          autoComplete="current-password"
          value={password}
          onChange={(event) => setPassword(event.target.value)}
        />
      </Field>
      {asked && (
        <Field label="Code of your authenticator, or a recovery code" error={signIn.error?.at('code')}>
          <Input autoComplete="one-time-code" value={code} onChange={(event) => setCode(event.target.value)} />
        </Field>
      )}
      <ProblemNotice problem={signIn.error} shown={['login', 'password', 'code']} />
      <Button type="submit" look="main" busy={signIn.isPending}>
        Sign in
      </Button>
    </form>
  );
}
