import clsx from 'clsx';
import { useState } from 'react';
import { Select as Radix } from 'radix-ui';
import { control } from './Input';

interface Props<Value extends string> {
  value: Value | '';
  onChange: (value: Value) => void;
  options: Readonly<Record<Value, string>>;
  placeholder?: string;
  disabled?: boolean;
  id?: string;
  className?: string;
  'aria-label'?: string;
  'aria-invalid'?: boolean;
  'aria-describedby'?: string;
}

/** So many options are always there, so that a letter typed on the closed control chooses one; more are made when it opens. */
const FEW = 60;

/** Chooses one of a few. */
export function Select<Value extends string>(props: Props<Value>) {
  const { value, onChange, options, placeholder = 'Select', disabled = false, className, ...rest } = props;
  const [open, setOpen] = useState(false);
  const listed = Object.entries(options) as [Value, string][];
  return (
    <Radix.Root
      value={value}
      onValueChange={(next) => onChange(next as Value)}
      disabled={disabled}
      open={open}
      onOpenChange={setOpen}
    >
      <Radix.Trigger
        className={clsx(control, 'flex h-8 items-center justify-between gap-2 text-left', className)}
        {...rest}
      >
        <span className="truncate">
          <Radix.Value placeholder={<span className="text-soft">{placeholder}</span>}>
            {value === '' ? undefined : options[value]}
          </Radix.Value>
        </span>
        <Radix.Icon aria-hidden="true" className="text-soft">
          ▾
        </Radix.Icon>
      </Radix.Trigger>
      <Radix.Portal>
        <Radix.Content position="popper" sideOffset={2} className="z-50 border border-strong bg-sheet shadow-md">
          <Radix.Viewport className="max-h-80 min-w-(--radix-select-trigger-width)">
            {(open || listed.length <= FEW ? listed : []).map(([code, label]) => (
              <Radix.Item
                key={code}
                value={code}
                className="flex h-8 items-center gap-2 px-2 outline-none select-none data-highlighted:bg-accent-soft"
              >
                <Radix.ItemText>{label}</Radix.ItemText>
                <Radix.ItemIndicator aria-hidden="true">·</Radix.ItemIndicator>
              </Radix.Item>
            ))}
          </Radix.Viewport>
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  );
}
