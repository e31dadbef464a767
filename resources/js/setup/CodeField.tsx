import { Field } from '../ui/Field';
import { Input } from '../ui/Input';

const CODE = /^[A-Za-z0-9][A-Za-z0-9_-]{0,29}$/;

export const isCode = (code: string) => CODE.test(code);

interface Props {
  value: string;
  onChange: (code: string) => void;
  /** Whether it was tried to save it: until then nobody is told that it is not written yet. */
  tried: boolean;
  error: string | undefined;
  /** What one could look like. */
  such: string;
}

/** Under which something that is set up is known for good. */
export function CodeField({ value, onChange, tried, error, such }: Props) {
  const fault =
    tried && !isCode(value) ? `A code is letters, digits, hyphens and underscores, such as ${such}.` : undefined;
  return (
    <Field label="Code (fixed once added)" className="w-44" error={error ?? fault}>
      <Input value={value} onChange={(event) => onChange(event.target.value)} />
    </Field>
  );
}
