import clsx from 'clsx';
import { useState } from 'react';
import { Link, NavLink, useNavigate } from 'react-router';
import { setTheme, theme } from './lib/theme';
import { useMay } from './lib/session';
import { useShortcut } from './lib/useShortcut';
import { Palette } from './Palette';
import { PersonMenu } from './people/PersonMenu';
import { Shortcuts } from './Shortcuts';

const places = [
  { to: '/', label: 'Desk' },
  { to: '/reports', label: 'Reports' },
  { to: '/register', label: 'Register' },
  { to: '/items', label: 'Items' },
  { to: '/compare', label: 'Compare' },
];

/** The head of every page: where one can go, finding, and who is signed in. */
export function Masthead() {
  const [finding, setFinding] = useState(false);
  const [help, setHelp] = useState(false);
  const [dark, setDark] = useState(theme() === 'dark');
  const navigate = useNavigate();
  const mayRaise = useMay('raise_request');
  useShortcut('mod+k', () => setFinding(true));
  useShortcut('?', () => setHelp(true));
  useShortcut('g', () => void navigate('/'));
  useShortcut('n', () => void navigate('/requests/new'), mayRaise);

  return (
    <header className="no-print sticky top-0 z-30 bg-sheet">
      <div className="flex h-11 items-center gap-6 border-b border-strong px-6">
        <Link to="/" className="flex items-center gap-2 font-semibold tracking-tight">
          <img src="/mark.svg" alt="" className="size-5" />
          Orthotaxis
        </Link>
        <nav aria-label="Main" className="flex h-full">
          {places.map(({ to, label }) => (
            <NavLink
              key={to}
              to={to}
              end={to === '/'}
              className={({ isActive }) =>
                clsx(
                  'flex items-center border-b-3 px-3 pt-0.5',
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
          className="ml-auto flex h-8 w-72 items-center justify-between border border-strong bg-paper px-2 text-left text-soft"
        >
          Find an item or a change
          <kbd className="font-mono text-xs">Ctrl K</kbd>
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
        <PersonMenu onShortcuts={() => setHelp(true)} />
      </div>
      <div aria-hidden="true" className="scale-x h-2 bg-paper" />
      <Palette open={finding} onClose={() => setFinding(false)} />
      <Shortcuts open={help} onClose={() => setHelp(false)} />
    </header>
  );
}
