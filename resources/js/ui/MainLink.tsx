import type { ReactNode } from 'react';
import { Link } from 'react-router';

/** Leads to the main thing that is done from a page; looks like the button that it stands in for. */
export function MainLink({ to, children }: { to: string; children: ReactNode }) {
  return (
    <Link
      to={to}
      className="target no-print inline-flex h-8 items-center rounded-xs border border-accent bg-accent px-3 font-medium text-on-accent hover:brightness-110"
    >
      {children}
    </Link>
  );
}
