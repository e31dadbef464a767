import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { api, told } from '../lib/api';
import { queries } from '../lib/queries';
import { useMe } from '../lib/session';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { Loading } from '../ui/Loading';
import { ProblemNotice } from '../ui/Notice';
import { Page } from '../ui/Page';
import { NewToken } from './NewToken';
import { PasswordForm } from './PasswordForm';
import { SecondFactor } from './SecondFactor';
import { SignInTable } from './SignInTable';
import { TokenTable } from './TokenTable';

/** How one signs in, where one is signed in, and which programs act for one. */
export function AccountPage() {
  const me = useMe();
  return (
    <Page title="Your account" over={`${me.name}, ${me.login}`}>
      <div className="max-w-4xl space-y-8">
        <Part title="Password">
          <PasswordForm />
        </Part>
        <Part title="Second factor">
          <SecondFactor />
        </Part>
        <Part title="Sign-ins">
          <SignIns />
        </Part>
        <Part title="Tokens of programs">
          <Tokens />
        </Part>
      </div>
    </Page>
  );
}

function Part({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section aria-label={title} className="space-y-3">
      <h2 className="border-b border-strong pb-0.5">{title}</h2>
      {children}
    </section>
  );
}

function SignIns() {
  const signIns = useQuery(queries.signIns());
  const end = useAct(touches.signIns, (id: string) =>
    told(api.DELETE('/api/session/sign-ins/{id}', { params: { path: { id } } })),
  );
  return (
    <Loading query={signIns}>
      {(rows) => (
        <>
          <SignInTable rows={rows} busy={end.isPending} onEnd={end.mutate} />
          <ProblemNotice problem={end.error} />
        </>
      )}
    </Loading>
  );
}

function Tokens() {
  const tokens = useQuery(queries.tokens());
  const withdraw = useAct(touches.token, (id: number) =>
    told(api.DELETE('/api/session/tokens/{id}', { params: { path: { id: String(id) } } })),
  );
  return (
    <Loading query={tokens}>
      {(rows) => (
        <>
          <TokenTable rows={rows} busy={withdraw.isPending} onWithdraw={withdraw.mutate} />
          <ProblemNotice problem={withdraw.error} />
          <NewToken />
        </>
      )}
    </Loading>
  );
}
