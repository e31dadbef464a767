import clsx from 'clsx';
import { useState, type ComponentProps } from 'react';
import { typedNumber } from '../lib/format';
import { decimalSign } from '../lib/settings';
import { Input } from './Input';

interface Props extends Omit<ComponentProps<'input'>, 'value' | 'onChange'> {
  /** With a point, as the server reads it. */
  value: string;
  onChange: (value: string) => void;
}

/** A number, typed as it is written here: with a decimal comma where the locale has one. */
export function DecimalInput({ value, onChange, className, ...rest }: Props) {
  const [typed, setTyped] = useState<string | null>(null);
  return (
    <Input
      inputMode="decimal"
      className={clsx('text-right', className)}
      value={typed ?? value.replace('.', decimalSign())}
      onChange={(event) => {
        setTyped(event.target.value);
        onChange(typedNumber(event.target.value));
      }}
      onBlur={() => setTyped(null)}
      {...rest}
    />
  );
}
