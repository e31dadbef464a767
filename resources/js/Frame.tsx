import { Outlet } from 'react-router';
import { SessionGate } from './lib/session';
import { Masthead } from './Masthead';
import { SignIn } from './people/SignIn';

/** What stands around every page. */
export function Frame() {
  return (
    <SessionGate otherwise={<SignIn />}>
      <a href="#page" className="sr-only focus:not-sr-only focus:absolute focus:z-50 focus:bg-sheet focus:p-2">
        To the page
      </a>
      <Masthead />
      <div id="page" tabIndex={-1} className="outline-none">
        <Outlet />
      </div>
    </SessionGate>
  );
}
