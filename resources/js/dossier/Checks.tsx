import type { Schemas } from '../lib/api';

/** Conditions for the next step: each holds, or why not. */
export function Checks({ checks }: { checks: Schemas['CheckRow'][] }) {
  return (
    <ul aria-label="Required for the next step" className="max-w-3xl">
      {checks.map((check) => (
        <li key={check.name} className="flex gap-2">
          <span aria-hidden="true" className={check.met ? 'text-accent' : 'text-warn'}>
            {check.met ? '■' : '□'}
          </span>
          <span>
            <span className="sr-only">{check.met ? 'holds: ' : 'missing: '}</span>
            {check.name}
            {!check.met && <span className="text-warn"> · {check.reason}</span>}
          </span>
        </li>
      ))}
    </ul>
  );
}
