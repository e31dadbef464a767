import clsx from 'clsx';

/** How the button reads that saves a view: its name, and its look. */
export const keepLabel = (name: string | undefined) => (name === undefined ? 'Save this view' : `Saved as ${name}`);

export const keepButton = (kept: boolean) =>
  clsx(
    'target no-print inline-flex size-7 items-center justify-center',
    kept ? 'text-accent' : 'text-soft hover:text-ink',
  );

export function KeepIcon({ kept }: { kept: boolean }) {
  return (
    <svg viewBox="0 0 16 16" aria-hidden className="size-4" stroke="currentColor" fill={kept ? 'currentColor' : 'none'}>
      <path d="M3.5 1.5h9v13L8 10.8l-4.5 3.7z" strokeWidth="1.4" strokeLinejoin="round" />
    </svg>
  );
}
