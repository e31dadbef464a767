import { useState } from 'react';
import { api, told, type Schemas } from '../lib/api';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { Button } from '../ui/Button';
import { Field } from '../ui/Field';
import { TextArea } from '../ui/Input';
import { Notice, ProblemNotice } from '../ui/Notice';
import { AssigneeField } from './AssigneeField';

type May = Schemas['TaskPage']['may'][number];
/** What one says something with. */
type Spoken = Exclude<May, 'claim' | 'plan' | 'comment'>;

const acts: Record<Spoken, { button: string; ask: string; save: string }> = {
  finish: { button: 'Done', ask: 'Result', save: 'Mark as done' },
  hand_on: { button: 'Hand on', ask: 'Reason', save: 'Hand on' },
  hand_back: { button: 'Hand back', ask: 'Reason', save: 'Hand back to the group' },
  withdraw: { button: 'Withdraw', ask: 'Reason', save: 'Withdraw task' },
  reopen: { button: 'Reopen', ask: 'Reason', save: 'Reopen task' },
};

const send = (number: string, act: Spoken, text: string, to: string) => {
  const at = { params: { path: { number } }, body: { text } };
  switch (act) {
    case 'finish':
      return told(api.POST('/api/tasks/{number}/done', at));
    case 'hand_on':
      return told(api.POST('/api/tasks/{number}/hand-on', { ...at, body: { text, to } }));
    case 'hand_back':
      return told(api.POST('/api/tasks/{number}/hand-back', at));
    case 'withdraw':
      return told(api.POST('/api/tasks/{number}/withdrawal', at));
    case 'reopen':
      return told(api.POST('/api/tasks/{number}/reopening', at));
  }
};

/** What whoever reads a task may do with it now. */
export function TaskActs({ page, onPlan }: { page: Schemas['TaskPage']; onPlan: () => void }) {
  const { number } = page.task;
  const [open, setOpen] = useState<Spoken | null>(null);
  const [text, setText] = useState('');
  const [to, setTo] = useState('');
  const claim = useAct(touches.task, () =>
    told(api.POST('/api/tasks/{number}/claim', { params: { path: { number } } })),
  );
  const act = useAct(
    touches.task,
    (what: Spoken) => send(number, what, text, to),
    () => {
      setOpen(null);
      setText('');
    },
  );
  const spoken = page.may.filter((one): one is Spoken => one in acts);
  return (
    <div className="no-print space-y-2">
      {page.lacks !== '' && <Notice>{page.lacks}</Notice>}
      <ProblemNotice problem={claim.error} />
      <div className="flex flex-wrap gap-2">
        {page.may.includes('claim') && (
          <Button look="main" busy={claim.isPending} onClick={() => claim.mutate(undefined)}>
            Claim
          </Button>
        )}
        {spoken.map((one) => (
          <Button
            key={one}
            look={one === 'finish' ? 'main' : 'plain'}
            aria-expanded={open === one}
            onClick={() => {
              act.reset();
              setOpen(open === one ? null : one);
            }}
          >
            {acts[one].button}
          </Button>
        ))}
        {page.may.includes('plan') && <Button onClick={onPlan}>Edit</Button>}
      </div>
      {open !== null && spoken.includes(open) && (
        <form
          aria-label={acts[open].button}
          className="max-w-2xl space-y-2 border-y border-strong bg-sheet p-3"
          onSubmit={(event) => {
            event.preventDefault();
            act.mutate(open);
          }}
        >
          {open === 'hand_on' && <AssigneeField label="To" value={to} onChange={setTo} error={act.error?.at('to')} />}
          <Field label={acts[open].ask} error={act.error?.at('text')}>
            <TextArea rows={2} value={text} onChange={(event) => setText(event.target.value)} />
          </Field>
          <ProblemNotice problem={act.error} shown={['to', 'text']} />
          <div className="flex gap-2">
            <Button type="submit" look="main" busy={act.isPending}>
              {acts[open].save}
            </Button>
            <Button look="quiet" onClick={() => setOpen(null)}>
              Cancel
            </Button>
          </div>
        </form>
      )}
    </div>
  );
}
