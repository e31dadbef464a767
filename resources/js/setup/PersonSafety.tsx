import { useQuery } from '@tanstack/react-query';
import { SignInTable } from '../account/SignInTable';
import { TokenTable } from '../account/TokenTable';
import { api, told, type Schemas } from '../lib/api';
import { queries } from '../lib/queries';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { Button } from '../ui/Button';
import { Loading } from '../ui/Loading';
import { Notice, ProblemNotice } from '../ui/Notice';

/** How somebody signs in, for who manages people: a link by mail, the second factor, sign-ins and tokens. */
export function PersonSafety({ person }: { person: Schemas['PersonAccount'] }) {
  const { login } = person;
  const safety = useQuery(queries.accountSafety(login));
  const send = useAct(touches.nothing, () =>
    told(api.POST('/api/accounts/{login}/password-link', { params: { path: { login } } })),
  );
  const reset = useAct(touches.accountSafety, () =>
    told(api.DELETE('/api/accounts/{login}/second-factor', { params: { path: { login } } })),
  );
  const end = useAct(touches.accountSafety, (id: string) =>
    told(api.DELETE('/api/accounts/{login}/sign-ins/{id}', { params: { path: { login, id } } })),
  );
  const withdraw = useAct(touches.accountSafety, (id: number) =>
    told(api.DELETE('/api/accounts/{login}/tokens/{id}', { params: { path: { login, id: String(id) } } })),
  );
  return (
    <section aria-label={`Sign-in of ${person.name}`} className="space-y-3">
      <Loading query={safety}>
        {({ second_factor: on, sign_ins: signIns, tokens }) => (
          <>
            <div className="flex flex-wrap items-center gap-2">
              {person.active && (
                <Button busy={send.isPending} onClick={() => send.mutate(undefined)}>
                  Send a link to set the password
                </Button>
              )}
              <span>Second factor: {on ? 'on' : 'off'}</span>
              {on && (
                <Button look="quiet" busy={reset.isPending} onClick={() => reset.mutate(undefined)}>
                  Reset second factor
                </Button>
              )}
            </div>
            {send.isSuccess && <Notice look="good">A link is on its way to {person.email}.</Notice>}
            <SignInTable rows={signIns} busy={end.isPending} onEnd={end.mutate} />
            {tokens.length > 0 && <TokenTable rows={tokens} busy={withdraw.isPending} onWithdraw={withdraw.mutate} />}
            <ProblemNotice problem={send.error ?? reset.error ?? end.error ?? withdraw.error} />
          </>
        )}
      </Loading>
    </section>
  );
}
