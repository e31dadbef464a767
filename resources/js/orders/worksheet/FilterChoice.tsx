import { Select } from '../../ui/Select';

/** A choice has no empty value. */
const ALL = 'all';

interface Props {
  label: string;
  /** Empty: all. */
  value: string;
  /** What all is called. */
  all: string;
  options: (readonly [string, string])[];
  onChange: (value: string) => void;
}

/** Narrows the worksheet down to one of a few, or shows all. */
export function FilterChoice({ label, value, all, options, onChange }: Props) {
  return (
    <span className="w-44">
      <Select
        aria-label={label}
        value={value === '' ? ALL : value}
        onChange={(one) => onChange(one === ALL ? '' : one)}
        options={Object.fromEntries([[ALL, all], ...options])}
      />
    </span>
  );
}
