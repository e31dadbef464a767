import { useQueryClient } from '@tanstack/react-query';
import { useMe } from '../lib/session';
import { signInAgain } from '../lib/signInAgain';
import { Dialog } from '../ui/Dialog';
import { SignInForm } from './SignInForm';

/** Over the page when the session has ended: the page and all that was typed stay, and what was asked for goes on. */
export function SignInAgain() {
  const me = useMe();
  const client = useQueryClient();
  return (
    <Dialog open onClose={() => signInAgain.settle(false)} title="Sign in again">
      <p className="mb-3 text-soft">
        Your session has ended. The page and what you typed are still here; it goes on where it stopped.
      </p>
      <SignInForm
        name={me.login}
        onSignedIn={(now) => {
          // Another person must not go on with what this one began.
          if (now.login !== me.login) window.location.assign('/');
          else {
            signInAgain.settle(true);
            void client.invalidateQueries({ refetchType: 'active' });
          }
        }}
      />
    </Dialog>
  );
}
