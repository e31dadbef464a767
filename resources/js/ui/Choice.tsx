import clsx from 'clsx';
import { ToggleGroup } from 'radix-ui';

interface Props<Value extends string> {
  label: string;
  value: Value;
  options: Partial<Record<Value, string>>;
  onChange: (value: Value) => void;
}

/** One of a few, all in sight: what is chosen is underlined and heavy, not only coloured. */
export function Choice<Value extends string>({ label, value, options, onChange }: Props<Value>) {
  const values = Object.keys(options) as Value[];
  return (
    <ToggleGroup.Root
      type="single"
      aria-label={label}
      value={value}
      onValueChange={(next) => next !== '' && onChange(next as Value)}
      className="inline-flex gap-3"
    >
      {values.map((one) => (
        <ToggleGroup.Item
          key={one}
          value={one}
          className={clsx(
            'border-b-2 py-0.5 text-sm',
            one === value ? 'border-accent font-semibold' : 'border-transparent text-soft hover:border-strong',
          )}
        >
          {options[one]}
        </ToggleGroup.Item>
      ))}
    </ToggleGroup.Root>
  );
}
