import { Notice } from '../ui/Notice';

const REASONS: Record<string, string> = {
  unknown: 'Nobody here has this account. Ask who manages people to add you, or sign in by name and password.',
  refused: 'The sign-in was refused there.',
  failed: 'The sign-in did not work. Try it again.',
};

const provider = () => document.querySelector<HTMLMetaElement>('meta[name="sign-in-with"]')?.content ?? '';

/** Goes to the provider by which people sign in, where there is one, and says what came of it. */
export function ByProvider() {
  const name = provider();
  if (name === '') return null;
  const { pathname, search } = window.location;
  const said = new URLSearchParams(search);
  const why = REASONS[said.get('sign_in') ?? ''];
  said.delete('sign_in');
  const rest = said.toString();
  const to = pathname + (rest === '' ? '' : `?${rest}`);
  return (
    <div className="mb-6 space-y-3">
      {why !== undefined && <Notice look="alarm">{why}</Notice>}
      <a
        href={`/sign-in/provider?${new URLSearchParams({ to }).toString()}`}
        className="target inline-flex h-8 items-center border border-strong bg-sheet px-3 font-medium hover:bg-accent-soft"
      >
        Sign in with {name}
      </a>
      <p className="text-sm text-soft">Or by name and password:</p>
    </div>
  );
}
