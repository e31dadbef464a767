import type { ReactNode } from 'react';

/** Names and values of one thing, side by side. Empty values are left out. */
export function Facts({ facts }: { facts: [string, ReactNode][] }) {
  return (
    <dl className="flex flex-wrap gap-x-8 gap-y-2">
      {facts
        .filter(([, value]) => value !== null && value !== '' && value !== undefined)
        .map(([name, value]) => (
          <div key={name}>
            <dt className="text-sm text-soft">{name}</dt>
            <dd>{value}</dd>
          </div>
        ))}
    </dl>
  );
}
