import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { api, told, type ApiProblem, type Schemas } from '../lib/api';
import { queries } from '../lib/queries';
import { Button } from '../ui/Button';
import { Field } from '../ui/Field';
import { Input } from '../ui/Input';
import { ProblemNotice } from '../ui/Notice';

/** Stands in place of any page until somebody has signed in; the address stays, so that a link opens what it names. */
export function SignIn() {
  const client = useQueryClient();
  const [login, setLogin] = useState('');
  const [password, setPassword] = useState('');
  useEffect(() => {
    document.title = 'Sign in · Orthotaxis';
  }, []);
  const signIn = useMutation<Schemas['Me'], ApiProblem>({
    mutationFn: () => told(api.POST('/api/session', { body: { login, password } })),
    onSuccess: (me) => client.setQueryData(queries.me().queryKey, me),
  });

  return (
    <main className="mx-auto mt-[16vh] w-88">
      <div className="mb-1 flex items-center gap-2.5">
        <img src="/mark.svg" alt="" className="size-8" />
        <h1 className="text-2xl">Orthotaxis</h1>
      </div>
      <div aria-hidden="true" className="scale-x mb-6 h-2" />
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
        <ProblemNotice problem={signIn.error} shown={['login', 'password']} />
        <Button type="submit" look="main" busy={signIn.isPending}>
          Sign in
        </Button>
      </form>
    </main>
  );
}
