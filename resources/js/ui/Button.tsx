import clsx from 'clsx';
import type { ComponentProps } from 'react';

type Look = 'main' | 'plain' | 'quiet' | 'alarm';

const looks: Record<Look, string> = {
  main: 'border-accent bg-accent text-on-accent hover:brightness-110',
  plain: 'border-strong bg-sheet text-ink hover:bg-well',
  quiet: 'border-transparent text-accent underline-offset-3 hover:underline',
  alarm: 'border-alarm bg-sheet text-alarm hover:bg-alarm-soft',
};

interface Props extends ComponentProps<'button'> {
  look?: Look;
  /** The act is under way: the button cannot be pressed twice, and keeps the focus. */
  busy?: boolean;
}

export function Button({ look = 'plain', busy = false, className, type = 'button', onClick, ...rest }: Props) {
  return (
    <button
      type={type}
      aria-disabled={busy || undefined}
      aria-busy={busy}
      onClick={(event) => {
        if (busy) event.preventDefault();
        else onClick?.(event);
      }}
      className={clsx(
        'target inline-flex h-8 items-center gap-1.5 rounded-xs border px-3 text-base font-medium whitespace-nowrap',
        'disabled:cursor-not-allowed disabled:opacity-55 aria-disabled:cursor-progress aria-disabled:opacity-55',
        looks[look],
        className,
      )}
      {...rest}
    />
  );
}
