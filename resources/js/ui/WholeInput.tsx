import clsx from 'clsx';
import type { ComponentProps } from 'react';
import { Input } from './Input';

interface Props extends Omit<ComponentProps<'input'>, 'value' | 'onChange'> {
  value: number | undefined;
  /** Undefined when the field was emptied. */
  onChange: (value: number | undefined) => void;
}

/** A whole number, not negative: anything but a digit is not taken, which one sees while typing. */
export function WholeInput({ value, onChange, className, ...rest }: Props) {
  return (
    <Input
      inputMode="numeric"
      className={clsx('text-right', className)}
      value={value === undefined ? '' : String(value)}
      onChange={(event) => {
        const digits = event.target.value.replace(/\D/g, '').slice(0, 9);
        onChange(digits === '' ? undefined : Number(digits));
      }}
      {...rest}
    />
  );
}
