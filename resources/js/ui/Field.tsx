import { cloneElement, useId, type ReactElement } from 'react';

interface Control {
  id?: string;
  'aria-invalid'?: boolean;
  'aria-describedby'?: string;
}

interface Props {
  label: string;
  hint?: string;
  error?: string | undefined;
  className?: string;
  children: ReactElement<Control>;
}

/** A control with its label above it and, when something is wrong with it, the reason right below. */
export function Field({ label, hint, error, className, children }: Props) {
  const id = useId();
  const control = cloneElement(children, {
    id,
    'aria-invalid': error !== undefined,
    ...(error !== undefined || hint !== undefined ? { 'aria-describedby': `${id}-note` } : {}),
  });
  return (
    <div className={className}>
      <label htmlFor={id} className="mb-0.5 block text-sm font-medium text-soft">
        {label}
      </label>
      {control}
      {(error ?? hint) !== undefined && (
        <p id={`${id}-note`} className={error ? 'mt-0.5 text-sm text-alarm' : 'mt-0.5 text-sm text-soft'}>
          {error !== undefined && <span aria-hidden="true">▸ </span>}
          {error ?? hint}
        </p>
      )}
    </div>
  );
}
