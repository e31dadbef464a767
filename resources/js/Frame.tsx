import { useIsFetching, useIsMutating } from '@tanstack/react-query';
import clsx from 'clsx';
import { Outlet, useLocation } from 'react-router';
import { lazy, Suspense, useEffect } from 'react';
import { signInAgain } from './lib/signInAgain';
import { newerVersion } from './lib/newerVersion';
import { SessionGate, useMe } from './lib/session';
import { useFocusKept } from './lib/useFocusKept';
import { useNewPage } from './lib/useNewPage';
import { TaskWalk } from './desk/TaskWalk';
import { Masthead } from './Masthead';
import { SignIn } from './people/SignIn';

const SignInAgain = lazy(async () => ({ default: (await import('./people/SignInAgain')).SignInAgain }));

const SecondFactorFirst = lazy(async () => ({
  default: (await import('./account/SecondFactorFirst')).SecondFactorFirst,
}));

/** What stands around every page. */
export function Frame() {
  useFocusKept();
  useNewPage();
  return (
    <SessionGate otherwise={<SignIn />}>
      <Inside />
    </SessionGate>
  );
}

/** The page, for who is signed in as their role asks for. */
function Inside() {
  const { pathname } = useLocation();
  if (useMe().lacks_second_factor) {
    return (
      <Suspense>
        <SecondFactorFirst />
      </Suspense>
    );
  }
  return (
    <>
      <a href="#page" className="sr-only focus:not-sr-only focus:absolute focus:z-50 focus:bg-sheet focus:p-2">
        To the page
      </a>
      <Waiting />
      <Masthead />
      <NewerVersion />
      <TaskWalk />
      <div id="page" tabIndex={-1} className="outline-none">
        {/* Another record is another page, also where the same component shows it. */}
        <Outlet key={pathname} />
      </div>
      <SessionEnded />
    </>
  );
}

/** Shows that something is asked or saved; of a component of its own, so that nothing else is drawn anew for it. */
function Waiting() {
  const busy = useIsFetching() + useIsMutating() > 0;
  return (
    <div aria-hidden className={clsx('waiting no-print fixed inset-x-0 top-0 z-50 h-0.5', busy && 'is-waiting')} />
  );
}

/** Stands ready to ask who was signed in to sign in again, over the page. */
function SessionEnded() {
  const waiting = signInAgain.useWaiting();
  useEffect(() => {
    signInAgain.watched = true;
    return () => {
      signInAgain.watched = false;
    };
  }, []);
  return <Suspense>{waiting && <SignInAgain />}</Suspense>;
}

/** Says that the server serves a newer version; when to take it is the person's to say. */
function NewerVersion() {
  if (!newerVersion.use()) return null;
  return (
    <p role="status" className="no-print flex gap-4 border-b border-rule bg-accent-soft px-6 py-1">
      A newer version of Orthotaxis is there.
      <button type="button" className="target text-accent underline" onClick={() => window.location.reload()}>
        Reload
      </button>
      <span className="text-soft">What you typed is kept.</span>
    </p>
  );
}
