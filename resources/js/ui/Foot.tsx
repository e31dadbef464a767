import clsx from 'clsx';
import type { ReactNode } from 'react';

interface Props {
  label: string;
  className?: string;
  children: ReactNode;
}

/** Tells the page how high the strip is: tables end above it, and what takes the focus is scrolled clear of it. */
function tellHeight(strip: HTMLElement) {
  const { style } = document.documentElement;
  const observer = new ResizeObserver(() => style.setProperty('--foot', `${strip.offsetHeight}px`));
  observer.observe(strip);
  return () => {
    observer.disconnect();
    style.removeProperty('--foot');
  };
}

/** A strip at the foot of the window, always in sight. There is one at most. */
export function Foot({ label, className, children }: Props) {
  return (
    <aside
      ref={tellHeight}
      aria-label={label}
      className={clsx('no-print fixed inset-x-0 bottom-0 z-20 border-t border-strong bg-sheet', className)}
    >
      {children}
    </aside>
  );
}
