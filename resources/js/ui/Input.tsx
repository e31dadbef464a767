import clsx from 'clsx';
import type { ComponentProps } from 'react';

export const control =
  'w-full rounded-xs border border-strong bg-sheet px-2 text-base text-ink placeholder:text-soft aria-invalid:border-alarm aria-invalid:bg-alarm-soft disabled:opacity-60';

export function Input({ className, ...rest }: ComponentProps<'input'>) {
  return <input className={clsx(control, 'h-8', className)} {...rest} />;
}

export function TextArea({ className, rows = 3, ...rest }: ComponentProps<'textarea'>) {
  return <textarea rows={rows} className={clsx(control, 'py-1.5', className)} {...rest} />;
}
