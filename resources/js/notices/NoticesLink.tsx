import { useQuery } from '@tanstack/react-query';
import clsx from 'clsx';
import { NavLink } from 'react-router';
import { queries } from '../lib/queries';

/** To the notices, with how many are not read; looked for every minute. */
export function NoticesLink() {
  const unread = useQuery(queries.unreadNotices()).data?.unread ?? 0;
  return (
    <NavLink
      to="/notices"
      className={({ isActive }) =>
        clsx('target flex h-8 items-center gap-1.5 px-1', isActive ? 'font-semibold' : 'text-soft hover:text-ink')
      }
    >
      Notices
      {unread > 0 && (
        <span className="min-w-5 rounded-xs bg-accent px-1 text-center text-sm font-semibold text-on-accent tabular-nums">
          {unread > 99 ? '99+' : unread}
          <span className="sr-only"> unread</span>
        </span>
      )}
    </NavLink>
  );
}
