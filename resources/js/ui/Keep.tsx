import { useQuery } from '@tanstack/react-query';
import { lazy } from 'react';
import { useLocation } from 'react-router';
import { queries } from '../lib/queries';
import { KeepIcon, keepButton, keepLabel } from './KeepIcon';
import { OpensLater } from './OpensLater';

const Open = lazy(() => import('./KeepOpen'));

/** Saves this page as a view, with all that its address says: filters, day, columns. */
export function Keep({ title }: { title: string }) {
  const { pathname, search } = useLocation();
  const favourites = useQuery(queries.favourites());
  const kept = favourites.data?.find((one) => one.address === pathname + search && !one.shared_by);
  const label = keepLabel(kept?.name);
  return (
    <OpensLater
      button={(onClick) => (
        <button
          type="button"
          aria-label={label}
          title={label}
          className={keepButton(kept !== undefined)}
          onClick={onClick}
        >
          <KeepIcon kept={kept !== undefined} />
        </button>
      )}
    >
      <Open title={title} />
    </OpensLater>
  );
}
