import clsx from 'clsx';
import type { ReactNode } from 'react';
import type { Schemas } from '../lib/api';
import { steps as names } from '../lib/words';

const words = { done: 'done', now: 'now', ahead: 'ahead', not_needed: 'not needed' } as const;

interface Props {
  step: Schemas['StepRow'];
  number: number;
  children: ReactNode;
}

/** One step of the work: its state, what is missing, and what it found. What is done stays readable in place. */
export function Step({ step, number, children }: Props) {
  const quiet = step.state === 'ahead' || step.state === 'not_needed';
  return (
    <section
      id={step.step}
      aria-labelledby={`${step.step}-head`}
      className={clsx(
        'scroll-mt-16 border-t pt-2',
        step.state === 'now' ? 'border-t-2 border-accent' : 'border-rule',
        quiet ? 'pb-2' : 'pb-6',
      )}
    >
      <div className="flex items-baseline gap-3">
        <h2 id={`${step.step}-head`} className={quiet ? 'font-normal text-soft' : ''}>
          <span className="inline-block w-5 text-soft">{number}</span>
          {names[step.step]}
        </h2>
        <span className={clsx('text-sm', step.state === 'now' ? 'font-semibold text-accent' : 'text-soft')}>
          {words[step.state]}
        </span>
      </div>
      {step.missing.length > 0 && (
        <ul aria-label="To do" className="mt-1 mb-2 ml-5 text-warn">
          {step.missing.map((reason) => (
            <li key={reason} className="flex gap-2">
              <span aria-hidden="true">△</span>
              {reason}
            </li>
          ))}
        </ul>
      )}
      {!quiet && <div className="mt-2 ml-5">{children}</div>}
    </section>
  );
}
