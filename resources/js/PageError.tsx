import { isRouteErrorResponse, Link, useRouteError } from 'react-router';
import { Button } from './ui/Button';
import { Notice } from './ui/Notice';

/** A piece of the application that the server no longer has: it is of an older version than the server. */
const GONE = /dynamically imported module|importing a module script|module script failed|preload/i;

/** Stands in place of a page that broke, and says how to go on. Nothing that was saved is lost by it. */
export function PageError() {
  const error = useRouteError();
  const said = error instanceof Error ? error.message : isRouteErrorResponse(error) ? error.statusText : '';
  const outdated = GONE.test(said);
  return (
    <main className="mx-auto max-w-3xl px-6 pt-10">
      <title>This page could not be opened · Orthotaxis</title>
      <h1 tabIndex={-1}>This page could not be opened</h1>
      <div className="mt-3 space-y-4">
        <Notice look="alarm">
          {outdated
            ? 'A newer version of Orthotaxis is there, or a part of this page did not arrive. Reload it to go on.'
            : 'Something in this page is broken. What was saved is safe; what was typed is kept in this browser.'}
        </Notice>
        <div className="flex flex-wrap items-center gap-4">
          <Button look="main" onClick={() => window.location.reload()}>
            Reload
          </Button>
          <Link to="/" reloadDocument className="text-accent underline-offset-3 hover:underline">
            Go to the Desk
          </Link>
        </div>
        {said !== '' && (
          <details className="text-sm text-soft">
            <summary>For whoever looks into it</summary>
            <p className="font-mono">{said}</p>
          </details>
        )}
      </div>
    </main>
  );
}
