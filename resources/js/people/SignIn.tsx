import { useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { queries } from '../lib/queries';
import { SignInForm } from './SignInForm';

/** Stands in place of any page until somebody has signed in; the address stays, so that a link opens what it names. */
export function SignIn() {
  const client = useQueryClient();
  useEffect(() => {
    document.title = 'Sign in · Orthotaxis';
  }, []);
  return (
    <main className="mx-auto mt-[16vh] w-88 max-w-[92vw]">
      <div className="mb-1 flex items-center gap-2.5">
        <img src="/mark.svg" alt="" className="size-8" />
        <h1 className="text-2xl">Orthotaxis</h1>
      </div>
      <div aria-hidden="true" className="scale-x mb-6 h-2" />
      <SignInForm onSignedIn={(me) => client.setQueryData(queries.me().queryKey, me)} />
    </main>
  );
}
