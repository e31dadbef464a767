import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { api, told, type ApiProblem } from '../lib/api';
import { Button } from '../ui/Button';
import { Details } from '../ui/Details';
import { Field } from '../ui/Field';
import { Input } from '../ui/Input';
import { Notice, ProblemNotice } from '../ui/Notice';

/** Has an address mailed at which a password is set. */
export function ForgottenPassword() {
  return (
    <Details summary="Forgot your password?" className="mt-5">
      <Ask />
    </Details>
  );
}

function Ask() {
  const [login, setLogin] = useState('');
  const ask = useMutation<unknown, ApiProblem>({
    mutationFn: () => told(api.POST('/api/password-link', { body: { login } })),
  });
  if (ask.isSuccess) {
    return (
      <div className="mt-2">
        <Notice look="good">If {login} has an account, a mail with a link is on its way.</Notice>
      </div>
    );
  }
  return (
    <form
      aria-label="New password by mail"
      className="mt-2 space-y-3"
      onSubmit={(event) => {
        event.preventDefault();
        ask.mutate();
      }}
    >
      <Field label="Your sign-in name" error={ask.error?.at('login')}>
        <Input autoComplete="username" value={login} onChange={(event) => setLogin(event.target.value)} />
      </Field>
      <ProblemNotice problem={ask.error} shown={['login']} />
      <Button type="submit" busy={ask.isPending}>
        Send a link by mail
      </Button>
    </form>
  );
}
