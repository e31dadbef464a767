import { DropdownMenu } from 'radix-ui';
import { useNavigate } from 'react-router';
import { api, told } from '../lib/api';
import { personButton, PersonName } from './PersonName';

const entry = 'flex h-8 items-center px-3 outline-none select-none data-highlighted:bg-accent-soft';

/** The menu itself, loaded when somebody opens it. */
export default function PersonMenuOpen({ onShortcuts }: { onShortcuts: () => void }) {
  const navigate = useNavigate();
  const signOut = async () => {
    await told(api.DELETE('/api/session'));
    window.location.assign('/');
  };
  return (
    <DropdownMenu.Root defaultOpen>
      <DropdownMenu.Trigger className={personButton}>
        <PersonName />
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content align="end" className="z-50 min-w-44 border border-strong bg-sheet py-1 shadow-md">
          <DropdownMenu.Item className={entry} onSelect={onShortcuts}>
            Keyboard shortcuts
          </DropdownMenu.Item>
          <DropdownMenu.Item className={entry} onSelect={() => void navigate('/absences')}>
            Absences and deputies
          </DropdownMenu.Item>
          <DropdownMenu.Item className={entry} onSelect={() => void navigate('/account')}>
            Your account
          </DropdownMenu.Item>
          <DropdownMenu.Item className={entry} onSelect={() => void signOut()}>
            Sign out
          </DropdownMenu.Item>
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
