import clsx from 'clsx';
import type { Schemas } from '../lib/api';
import { steps as names } from '../lib/words';

const signs = { done: '■', now: '▶', ahead: '□', not_needed: '–' } as const;
const spoken = { done: 'done', now: 'now', ahead: 'ahead', not_needed: 'not needed' } as const;

interface Props {
  steps: Schemas['StepRow'][];
  number: string;
  title: string;
  tasks: Schemas['TaskRow'][];
  /** How many acts of others are new to the reader; they stand at the head of the page. */
  news: number;
}

/** The eight steps as a scale: what is done, where the change is, what lies ahead. */
export function StepRail({ steps, number, title, tasks, news }: Props) {
  const open = tasks.filter(({ state }) => state === 'open' || state === 'claimed').length;
  return (
    <nav aria-label="Steps" className="no-print">
      <div className="sticky top-16">
        <p className="mb-2 text-sm text-soft">
          <span className="font-mono">{number}</span> {title}
        </p>
        {news > 0 && (
          <a href="#new" className="target mb-1 flex items-center font-semibold text-accent hover:underline">
            {news} new since you looked
          </a>
        )}
        <ol className="border-l border-strong">
          {steps.map((step, index) => (
            <li key={step.step} className="relative">
              <span
                aria-hidden="true"
                className={clsx('absolute top-3.5 left-0 h-px bg-strong', step.state === 'now' ? 'w-4' : 'w-2')}
              />
              <a
                href={`#${step.step}`}
                aria-current={step.state === 'now' ? 'step' : undefined}
                className={clsx(
                  'flex items-baseline gap-2 py-1 pl-5 hover:text-ink',
                  step.state === 'now' ? 'font-semibold text-ink' : step.state === 'done' ? 'text-ink' : 'text-soft',
                )}
              >
                <span
                  aria-hidden="true"
                  className={clsx('w-3 text-sm', step.state === 'done' || step.state === 'now' ? 'text-accent' : '')}
                >
                  {signs[step.state]}
                </span>
                <span>
                  {index + 1} {names[step.step]}
                  <span className="sr-only">, {spoken[step.state]}</span>
                </span>
              </a>
            </li>
          ))}
        </ol>
        {tasks.length > 0 && (
          <a href="#tasks" className="target mt-2 flex items-center pl-5 text-soft hover:text-ink">
            {open === 0 ? 'Tasks, all done' : `Tasks, ${open} open`}
          </a>
        )}
      </div>
    </nav>
  );
}
