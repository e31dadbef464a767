import { priorities } from '../lib/words';

/** How urgent a change is. Only what is out of the ordinary stands out. */
export function Priority({ value }: { value: keyof typeof priorities }) {
  if (value === 'critical') {
    return (
      <span className="border-l-4 border-alarm bg-alarm-soft px-1.5 text-sm font-semibold text-alarm">
        ▲ {priorities.critical}
      </span>
    );
  }
  if (value === 'high') return <span className="text-sm font-semibold text-warn">△ {priorities.high}</span>;
  return <span className="text-sm text-soft">{priorities[value]}</span>;
}
