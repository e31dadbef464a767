import { Slider } from 'radix-ui';
import { useRef, useState } from 'react';
import type { Schemas } from '../lib/api';
import { day as written, plusDays, today } from '../lib/format';

interface Props {
  day: string;
  onChange: (day: string) => void;
  revisions: Schemas['RevisionRow'][];
  lines: Schemas['LineRow'][];
  /** Open orders that name the item and have a date. */
  planned: Schemas['ChangeRow'][];
}

const MILLIS = 86_400_000;
const RESTS = 120;
const at = (iso: string) => Math.round(Date.parse(`${iso}T00:00:00Z`) / MILLIS);

/**
 * Days as a scale: marks where a revision takes effect or a line starts or ends; dragging the hand, or arrow keys,
 * shows the structure of that day.
 */
export function TimeRuler({ day: shown, onChange, revisions, lines, planned }: Props) {
  // The hand follows at once, however fast it is moved; the structure of the day is asked for when it rests.
  const [day, setDay] = useState(shown);
  const [before, setBefore] = useState(shown);
  const rest = useRef<ReturnType<typeof setTimeout>>(undefined);
  if (before !== shown) {
    setBefore(shown);
    setDay(shown);
  }
  const move = (next: string) => {
    setDay(next);
    clearTimeout(rest.current);
    rest.current = setTimeout(() => onChange(next), RESTS);
  };
  const now = today();
  const marks = new Map<string, string>();
  for (const line of lines) {
    if (line.first_day) marks.set(line.first_day, `line ${line.find} starts`);
    if (line.last_day) marks.set(plusDays(line.last_day, 1), `line ${line.find} has ended`);
  }
  for (const revision of revisions) {
    if (revision.first_day) marks.set(revision.first_day, `revision ${revision.code} takes effect`);
  }
  for (const { number, effective_on } of planned) {
    if (effective_on) marks.set(effective_on, `${number} is to take effect`);
  }
  const days = [...marks.keys(), now, day].map(at);
  const from = Math.min(...days, at(now) - 60) - 20;
  const to = Math.max(...days, at(now) + 120) + 20;
  const place = (iso: string) => `${((at(iso) - from) / (to - from)) * 100}%`;
  const jump = (turn: 1 | -1) => {
    const next = [...marks.keys()].sort().filter((one) => (turn === 1 ? one > day : one < day));
    const target = turn === 1 ? next[0] : next.at(-1);
    if (target) onChange(target);
  };

  return (
    <div className="mb-2 border-y border-rule bg-sheet px-3 pt-1.5 pb-1">
      <div className="flex items-baseline justify-between text-sm">
        <span>
          As of <b className="font-semibold">{written(day)}</b>
          {day === now ? ', today' : ''}
          {marks.has(day) && <span className="text-soft"> · {marks.get(day)}</span>}
        </span>
        <span className="flex gap-3">
          <button type="button" className="min-h-6 text-accent hover:underline" onClick={() => jump(-1)}>
            ← Earlier mark
          </button>
          <button type="button" className="min-h-6 text-accent hover:underline" onClick={() => jump(1)}>
            Later mark →
          </button>
          <button type="button" className="min-h-6 text-accent hover:underline" onClick={() => onChange(now)}>
            Today
          </button>
        </span>
      </div>
      <Slider.Root
        min={from}
        max={to}
        value={[at(day)]}
        onValueChange={([value]) => value !== undefined && move(new Date(value * MILLIS).toISOString().slice(0, 10))}
        className="scale-x relative flex h-8 touch-none items-center select-none"
      >
        <Slider.Track className="relative h-full grow">
          <span
            aria-hidden="true"
            className="absolute top-0 h-full border-l border-dashed border-ink-soft"
            style={{ left: place(now) }}
          />
          {[...marks].map(([iso, label]) => (
            <span
              key={iso}
              title={`${written(iso)}: ${label}`}
              className="absolute top-1 -ml-1 text-xs leading-none text-accent"
              style={{ left: place(iso) }}
            >
              {label.includes('is to take effect') ? '▿' : '▾'}
              <span className="absolute top-3 left-0.5 text-[0.7rem] text-soft">
                {/revision (\w+)/.exec(label)?.[1] ?? '·'}
              </span>
            </span>
          ))}
        </Slider.Track>
        <Slider.Thumb
          aria-label="Day"
          aria-valuetext={written(day)}
          className="block h-8 w-2.5 border border-on-accent bg-accent"
        />
      </Slider.Root>
    </div>
  );
}
