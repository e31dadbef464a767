import { useIsFetching, useIsMutating } from '@tanstack/react-query';
import clsx from 'clsx';
import { Outlet } from 'react-router';
import { SessionGate } from './lib/session';
import { Masthead } from './Masthead';
import { SignIn } from './people/SignIn';

/** What stands around every page. */
export function Frame() {
  const busy = useIsFetching() + useIsMutating() > 0;
  return (
    <SessionGate otherwise={<SignIn />}>
      <a href="#page" className="sr-only focus:not-sr-only focus:absolute focus:z-50 focus:bg-sheet focus:p-2">
        To the page
      </a>
      <div aria-hidden className={clsx('waiting fixed inset-x-0 top-0 z-50 h-0.5', busy && 'is-waiting')} />
      <Masthead />
      <div id="page" tabIndex={-1} className="outline-none">
        <Outlet />
      </div>
    </SessionGate>
  );
}
