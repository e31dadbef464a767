import clsx from 'clsx';
import { Link } from 'react-router';
import type { Schemas } from '../lib/api';
import { ago, day, moment } from '../lib/format';
import { meanings, stepStandings } from '../lib/words';
import { Notice } from '../ui/Notice';
import { Person } from '../ui/Person';

type Step = Schemas['PathStepPicture'];

/** How many must sign, in words. */
const neededOf = ({ needed, people }: Step) =>
  needed === 0 ? (people.length > 1 ? 'all of' : '') : people.length > needed ? `${needed} of` : '';

interface Props {
  path: Schemas['PathPicture'];
  /** Where its tasks are, if not on this page. */
  tasks?: string;
}

const LINK = 'text-accent underline-offset-3 hover:underline';

/**
 * The path of a change as a picture: stage below stage, steps of one stage side by side; who signed, who can, since when, how late.
 */
export function PathPicture({ path, tasks }: Props) {
  // A stage may have nothing but tasks.
  const now = path.stage !== null && path.waits_for.length > 0 ? [path.stage] : [];
  const stages = [...new Set([...path.steps.map(({ stage }) => stage), ...now])].sort((a, b) => a - b);
  return (
    <section aria-label="Approval path" className="space-y-2">
      <p className="text-sm text-soft">
        {path.name}
        {path.version !== null && `, version ${path.version}`}
        {path.by_rule && ', chosen by rule'}
      </p>
      {path.stuck.map((why) => (
        <Notice key={why} look="warn">
          {why} An administrator gives the step to others or skips it.
        </Notice>
      ))}
      <ol className="border-l border-strong">
        {stages.map((stage) => (
          <li key={stage} className="relative flex flex-wrap gap-x-3 py-1.5 pl-4">
            <span
              aria-hidden="true"
              className={clsx('absolute top-4 left-0 h-px bg-strong', stage === path.stage ? 'w-3' : 'w-2')}
            />
            {path.steps
              .filter((step) => step.stage === stage)
              .map((step) => (
                <StepOfPath key={step.name} step={step} />
              ))}
            {stage === path.stage && path.waits_for.length > 0 && (
              <p className="w-full py-1 text-sm">
                Waits for {path.waits_for.length === 1 ? 'the task' : 'the tasks'}{' '}
                {tasks === undefined ? (
                  <a href="#tasks" className={LINK}>
                    {path.waits_for.join(', ')}
                  </a>
                ) : (
                  <Link to={tasks} className={LINK}>
                    {path.waits_for.join(', ')}
                  </Link>
                )}
              </p>
            )}
          </li>
        ))}
      </ol>
    </section>
  );
}

function StepOfPath({ step }: { step: Step }) {
  const { sign, word } = stepStandings[step.standing];
  const now = step.standing === 'now';
  return (
    <div
      className={clsx(
        'min-w-56 flex-1 border-l-3 bg-sheet px-3 py-1.5',
        now ? 'border-accent' : 'border-rule',
        (step.standing === 'not_needed' || step.standing === 'skipped') && 'text-soft',
      )}
    >
      <p className="flex items-baseline gap-2">
        <span aria-hidden="true" className={now || step.standing === 'done' ? 'text-accent' : ''}>
          {sign}
        </span>
        <b className="font-semibold">{step.name}</b>
        <span className="text-sm text-soft">
          {word} · means {meanings[step.meaning]}
        </span>
      </p>
      {step.signed.map(({ by, for: other, at, reason, checks }) => (
        <div key={`${by} ${at}`} className="text-sm">
          <p>
            ✓ <Person name={by} />
            {other !== null && ` for ${other}`}, {moment(at)}
            {reason !== '' && `: ${reason}`}
          </p>
          {checks.map((row) => (
            <p key={row} className="pl-4 text-soft">
              ☑ {row}
            </p>
          ))}
        </div>
      ))}
      {(now || step.standing === 'ahead') && (
        <p className="text-sm">
          {neededOf(step)} {step.people.join(', ') || 'nobody'}
          {step.signed.length > 0 && `; ${step.lacking} more`}
        </p>
      )}
      {now && step.acting.join() !== step.people.join() && step.acting.length > 0 && (
        <p className="text-sm text-soft">Can sign now: {step.acting.join(', ')}</p>
      )}
      {now && step.since !== null && (
        <p className={clsx('text-sm', step.overdue ? 'font-semibold text-alarm' : 'text-soft')}>
          for {ago(step.since)}
          {step.due_on !== null && `, ${step.overdue ? '▲ overdue' : 'due'} ${day(step.due_on)}`}
        </p>
      )}
      {step.reason !== '' && <p className="text-sm">{step.reason}</p>}
    </div>
  );
}
