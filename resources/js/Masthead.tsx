import clsx from 'clsx';
import { lazy, Suspense, useState } from 'react';
import { Link, NavLink, useNavigate } from 'react-router';
import { setTheme, theme } from './lib/theme';
import { useMay } from './lib/session';
import { useShortcut } from './lib/useShortcut';
import { NoticesLink } from './notices/NoticesLink';
import { PersonMenu } from './people/PersonMenu';

const Palette = lazy(async () => ({ default: (await import('./Palette')).Palette }));
const Shortcuts = lazy(async () => ({ default: (await import('./Shortcuts')).Shortcuts }));

const places = [
  { to: '/', label: 'Desk' },
  { to: '/reports', label: 'Reports' },
  { to: '/register', label: 'Register' },
  { to: '/items', label: 'Items' },
  { to: '/compare', label: 'Compare' },
  { to: '/hand-overs', label: 'Hand-overs' },
];

/** The head of every page: where one can go, finding, and who is signed in. */
export function Masthead() {
  const [finding, setFinding] = useState(false);
  const [help, setHelp] = useState(false);
  // Loaded when they are opened for the first time.
  const [wasFinding, setWasFinding] = useState(false);
  const [wasHelp, setWasHelp] = useState(false);
  if (finding && !wasFinding) setWasFinding(true);
  if (help && !wasHelp) setWasHelp(true);
  const [dark, setDark] = useState(theme() === 'dark');
  const navigate = useNavigate();
  const mayRaise = useMay('raise_request');
  const mayReport = useMay('report_problem');
  useShortcut('mod+k', () => setFinding(true));
  useShortcut('?', () => setHelp(true));
  useShortcut('g d', () => void navigate('/'));
  useShortcut('g r', () => void navigate('/register'));
  useShortcut('g p', () => void navigate('/reports'));
  useShortcut('g i', () => void navigate('/items'));
  useShortcut('g c', () => void navigate('/compare'));
  useShortcut('g h', () => void navigate('/hand-overs'));
  useShortcut('g m', () => void navigate('/meeting'));
  useShortcut('g n', () => void navigate('/notices'));
  useShortcut('n r', () => void navigate('/requests/new'), mayRaise);
  useShortcut('n p', () => void navigate('/reports/new'), mayReport);

  return (
    <header className="no-print sticky top-0 z-30 bg-sheet">
      {/* Where there is little room, at 200 % or on a tablet, the places go to a line of their own. */}
      <div className="flex flex-wrap items-center gap-x-4 border-b border-strong px-4 lg:gap-x-6 lg:px-6">
        <Link to="/" className="flex h-11 items-center gap-2 font-semibold tracking-tight">
          <img src="/mark.svg" alt="" className="size-5" />
          Orthotaxis
        </Link>
        <nav aria-label="Main" className="order-last flex h-9 w-full overflow-x-auto lg:order-none lg:h-11 lg:w-auto">
          {places.map(({ to, label }) => (
            <NavLink
              key={to}
              to={to}
              end={to === '/'}
              className={({ isActive }) =>
                clsx(
                  'target flex items-center border-b-3 px-3 pt-0.5',
                  isActive ? 'border-accent font-semibold' : 'border-transparent text-soft hover:text-ink',
                )
              }
            >
              {label}
            </NavLink>
          ))}
        </nav>
        <button
          type="button"
          onClick={() => setFinding(true)}
          className="target ml-auto flex h-8 w-52 max-w-72 min-w-0 grow items-center justify-between gap-2 border border-strong bg-paper px-2 text-left text-soft"
        >
          <span className="truncate">Find an item or a change</span>
          <kbd className="font-mono text-xs whitespace-nowrap">Ctrl K</kbd>
        </button>
        <button
          type="button"
          aria-label={dark ? 'Light' : 'Dark'}
          title={dark ? 'Light' : 'Dark'}
          onClick={() => {
            setTheme(dark ? 'light' : 'dark');
            setDark(!dark);
          }}
          className="size-8 text-lg leading-none text-soft hover:text-ink"
        >
          {dark ? '☼' : '☾'}
        </button>
        <NoticesLink />
        <PersonMenu onShortcuts={() => setHelp(true)} />
      </div>
      <div aria-hidden="true" className="scale-x h-2 bg-paper" />
      <Suspense>
        {wasFinding && <Palette open={finding} onClose={() => setFinding(false)} />}
        {wasHelp && <Shortcuts open={help} onClose={() => setHelp(false)} />}
      </Suspense>
    </header>
  );
}
