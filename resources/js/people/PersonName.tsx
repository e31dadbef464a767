import { useMe } from '../lib/session';

export const personButton = 'target flex h-8 items-baseline gap-2 pt-1 text-left';

/** Who is signed in, as the head of every page says it. */
export function PersonName() {
  const me = useMe();
  return (
    <>
      <span className="font-medium whitespace-nowrap">{me.name}</span>
      <span className="hidden text-sm whitespace-nowrap text-soft xl:inline">{me.roles.join(', ')}</span>
      <span aria-hidden="true" className="text-soft">
        ▾
      </span>
    </>
  );
}
