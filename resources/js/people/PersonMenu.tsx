import { DropdownMenu } from 'radix-ui';
import { api, told } from '../lib/api';
import { useMe } from '../lib/session';

const entry = 'flex h-8 items-center px-3 outline-none select-none data-highlighted:bg-accent-soft';

export function PersonMenu({ onShortcuts }: { onShortcuts: () => void }) {
  const me = useMe();
  const signOut = async () => {
    await told(api.DELETE('/api/session'));
    window.location.assign('/');
  };
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger className="target flex h-8 items-baseline gap-2 pt-1 text-left">
        <span className="font-medium whitespace-nowrap">{me.name}</span>
        <span className="hidden text-sm whitespace-nowrap text-soft lg:inline">{me.roles.join(', ')}</span>
        <span aria-hidden="true" className="text-soft">
          ▾
        </span>
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content align="end" className="z-50 min-w-44 border border-strong bg-sheet py-1 shadow-md">
          <DropdownMenu.Item className={entry} onSelect={onShortcuts}>
            Keyboard shortcuts
          </DropdownMenu.Item>
          <DropdownMenu.Item className={entry} onSelect={() => void signOut()}>
            Sign out
          </DropdownMenu.Item>
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
