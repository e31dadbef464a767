import clsx from 'clsx';
import type { ReactNode } from 'react';

type Look = 'alarm' | 'warn' | 'good';

const looks: Record<Look, { box: string; sign: string }> = {
  alarm: { box: 'border-alarm bg-alarm-soft text-alarm', sign: '▲' },
  warn: { box: 'border-warn bg-warn-soft text-warn', sign: '△' },
  good: { box: 'border-accent bg-accent-soft text-ink', sign: '■' },
};

/** Something to be told at once. Alarms are read out by a screen reader when they appear. */
export function Notice({ look = 'warn', children }: { look?: Look; children: ReactNode }) {
  return (
    <div
      role={look === 'alarm' ? 'alert' : 'status'}
      className={clsx('flex gap-2 border-l-4 px-3 py-1.5', looks[look].box)}
    >
      <span aria-hidden="true">{looks[look].sign}</span>
      <div>{children}</div>
    </div>
  );
}

/** The reason why something was refused, unless it stands beside a field already. */
export function ProblemNotice({
  problem,
  shown = [],
}: {
  problem: { message: string; errors: Record<string, string[]> } | null;
  shown?: string[];
}) {
  if (problem === null) return null;
  const places = Object.keys(problem.errors);
  const rest = places.filter((place) => !shown.includes(place));
  if (places.length > 0 && rest.length === 0) return null;
  const reasons = rest.flatMap((place) => problem.errors[place] ?? []);
  return (
    <Notice look="alarm">
      {reasons.length > 0 ? reasons.map((reason) => <p key={reason}>{reason}</p>) : problem.message}
    </Notice>
  );
}
