import { useState } from 'react';
import { api, told, type Schemas } from '../lib/api';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { facts } from '../lib/words';
import { Button } from '../ui/Button';
import { ChosenChange } from '../ui/ChosenChange';
import { Details } from '../ui/Details';
import { ProblemNotice } from '../ui/Notice';
import { ChangeNumber } from '../ui/Num';
import { useRecipients } from '../ui/useRecipients';
import type { Judges } from './rolesOf';

interface Props {
  steps: Schemas['PathStepRule'][];
  tasks: Schemas['PathTaskRule'][];
  judges: Judges;
}

type Change = Pick<Schemas['ChangeRow'], 'number' | 'title'>;

/** Shows how the steps as they stand in the form would run on any change, past ones too. Nothing is kept. */
export function TryPath({ steps, tasks, judges }: Props) {
  const [change, setChange] = useState<Change | null>(null);
  const kind = judges === 'orders' ? 'order' : 'request';
  const run = useAct(touches.nothing, () =>
    told(api.POST('/api/approval-paths/trial', { body: { change: change?.number ?? '', steps, tasks } })),
  );
  return (
    <Details summary={judges === 'orders' ? 'Try it on an order' : 'Try it on a request'}>
      <div className="mt-1 space-y-2">
        <div className="flex items-start gap-3">
          <div className="w-96">
            <ChosenChange
              label={judges === 'orders' ? 'Order to try it on' : 'Request to try it on'}
              types={[kind]}
              show="all"
              chosen={change}
              onChoose={setChange}
              error={run.error?.at('change')}
            />
          </div>
          <Button disabled={change === null} busy={run.isPending} onClick={() => run.mutate(undefined)}>
            Try
          </Button>
        </div>
        <ProblemNotice problem={run.error} shown={['change']} />
        {run.data && <Trial trial={run.data} />}
      </div>
    </Details>
  );
}

const whenOf = (stage: number | null) =>
  stage === null ? 'When released' : stage === 0 ? 'Before review' : `Stage ${stage}`;

function Trial({ trial }: { trial: Schemas['PathTrialPage'] }) {
  const recipients = useRecipients();
  return (
    <section aria-label={`How it would run on ${trial.change}`}>
      <p>
        <ChangeNumber number={trial.change} /> {trial.title}
        {trial.facts.map(({ fact, values }) => (
          <span key={fact} className="text-soft">
            {' '}
            · {facts[fact]}: {values.length === 0 ? 'not known' : values.join(', ')}
          </span>
        ))}
      </p>
      <ol>
        {trial.steps.map((step) => (
          <li key={step.name} className="flex flex-wrap gap-x-3 border-t border-rule py-0.5">
            <span className="text-soft">Stage {step.stage}</span>
            <span className="font-semibold">{step.name}</span>
            {!step.needed ? (
              <span className="text-soft">– not needed</span>
            ) : (
              <span>
                {step.signatures === 1 ? 'one signature' : `${step.signatures} signatures`} of{' '}
                {step.people.length === 0 ? 'nobody' : step.people.join(', ')}
                {step.acting.join() !== step.people.join() && step.acting.length > 0 && (
                  <span className="text-soft">; today {step.acting.join(', ')} can sign</span>
                )}
              </span>
            )}
            {step.stuck !== '' && <span className="text-alarm">▲ {step.stuck}</span>}
          </li>
        ))}
      </ol>
      {trial.tasks.length > 0 && (
        <ul aria-label="Tasks">
          {trial.tasks.map((task) => (
            <li key={`${task.stage} ${task.title}`} className="flex flex-wrap gap-x-3 border-t border-rule py-0.5">
              <span className="text-soft">{whenOf(task.stage)}</span>
              <span className="font-semibold">{task.title}</span>
              <span>
                {task.to.length === 0
                  ? 'for nobody: whoever acts then gets it'
                  : `for ${task.to.map((name) => recipients[name] ?? name).join(', ')}`}
              </span>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
