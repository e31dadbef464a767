import { lazy } from 'react';
import { OpensLater } from '../ui/OpensLater';
import { personButton, PersonName } from './PersonName';

const Open = lazy(() => import('./PersonMenuOpen'));

/** The person, and what they can do about themselves. */
export function PersonMenu({ onShortcuts }: { onShortcuts: () => void }) {
  return (
    <OpensLater
      button={(onClick) => (
        <button type="button" aria-haspopup="menu" aria-expanded={false} className={personButton} onClick={onClick}>
          <PersonName />
        </button>
      )}
    >
      <Open onShortcuts={onShortcuts} />
    </OpensLater>
  );
}
