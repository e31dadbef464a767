import { useQueryClient } from '@tanstack/react-query';
import { queries } from '../lib/queries';
import { Door } from '../ui/Door';
import { ByProvider } from './ByProvider';
import { ForgottenPassword } from './ForgottenPassword';
import { SignInForm } from './SignInForm';

/** Stands in place of any page until somebody has signed in; the address stays, so that a link opens what it names. */
export function SignIn() {
  const client = useQueryClient();
  return (
    <Door title="Sign in">
      <ByProvider />
      <SignInForm onSignedIn={(me) => client.setQueryData(queries.me().queryKey, me)} />
      <ForgottenPassword />
    </Door>
  );
}
