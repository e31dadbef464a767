import { Several } from '../ui/Several';

interface Props {
  label: string;
  chosen: string[];
  options: Readonly<Record<string, string>>;
  /** What none chosen means. */
  none: string;
  error: string | undefined;
  onChange: (chosen: string[]) => void;
}

/** Chooses several of a few, under a label, with what is wrong beneath. */
export function ChooseSeveral({ label, chosen, options, none, error, onChange }: Props) {
  return (
    <div>
      <span className="mb-0.5 block text-sm font-medium text-soft">{label}</span>
      <Several
        label={label}
        chosen={chosen.join(',')}
        options={options}
        none={none}
        onChange={(some) => onChange(some === '' ? [] : some.split(','))}
      />
      {error !== undefined && <p className="mt-0.5 text-sm text-alarm">▸ {error}</p>}
    </div>
  );
}

/** What is wrong with a list, or with one that it names. */
export function faultWithin(
  problem: { errors: Readonly<Record<string, readonly string[]>> } | null | undefined,
  name: string,
): string | undefined {
  return Object.entries(problem?.errors ?? {}).find(
    ([place]) => place === name || place.startsWith(`${name}.`),
  )?.[1][0];
}
