interface Props<Code extends string> {
  legend: string;
  options: Partial<Record<Code, string>>;
  chosen: readonly Code[];
  error?: string | undefined;
  className?: string;
  onChange: (chosen: Code[]) => void;
}

/** Several of a few, all in sight; what is chosen keeps the order in which it is offered. */
export function Ticks<Code extends string>({ legend, options, chosen, error, className, onChange }: Props<Code>) {
  const codes = Object.keys(options) as Code[];
  return (
    <fieldset className={className}>
      <legend className="text-sm font-medium text-soft">{legend}</legend>
      {codes.map((code) => (
        <label key={code} className="flex min-h-6 items-start gap-1.5">
          <input
            type="checkbox"
            className="mt-1"
            checked={chosen.includes(code)}
            onChange={({ target }) => onChange(toggled(chosen, code, target.checked))}
          />
          {options[code]}
        </label>
      ))}
      {error !== undefined && <p className="text-sm text-alarm">▸ {error}</p>}
    </fieldset>
  );
}

function toggled<Code extends string>(chosen: readonly Code[], code: Code, on: boolean): Code[] {
  return on ? [...chosen, code] : chosen.filter((one) => one !== code);
}
