import type { MouseEvent } from 'react';
import { useNavigate } from 'react-router';

/**
 * Follows plain links of the page within it, as those of the router do; heard by what is around them. A link of the router is a dozen
 * hooks, too much where hundreds come and go.
 */
export function useFollow() {
  const navigate = useNavigate();
  return (event: MouseEvent) => {
    const link = event.target instanceof Element ? event.target.closest('a') : null;
    const elsewhere = event.button !== 0 || event.ctrlKey || event.metaKey || event.shiftKey || event.altKey;
    const to = link?.getAttribute('href');
    if (event.defaultPrevented || elsewhere || !to?.startsWith('/') || link?.target) return;
    event.preventDefault();
    void navigate(to);
  };
}
