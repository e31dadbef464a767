import { useState } from 'react';
import { api, told, type Schemas } from '../lib/api';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { Button } from '../ui/Button';
import { ProblemNotice } from '../ui/Notice';
import { AssigneeField } from './AssigneeField';
import { bodyOf, nothingSaid, placesOf, TaskFields } from './TaskFields';

interface Props {
  change: string;
  others: Schemas['TaskRow'][];
  /** Items of an order, of which it may edit something. */
  editable: Schemas['EditableItem'][];
}

/** Gives a person or a group something to do for a change. */
export function NewTask({ change, others, editable }: Props) {
  const [open, setOpen] = useState(false);
  const [to, setTo] = useState('');
  const [said, setSaid] = useState(nothingSaid);
  const make = useAct(
    touches.task,
    () =>
      told(
        api.POST('/api/changes/{number}/tasks', {
          params: { path: { number: change } },
          body: { to, ...bodyOf(said) },
        }),
      ),
    () => {
      setSaid(nothingSaid);
      setOpen(false);
    },
  );
  if (!open) {
    return (
      <Button className="no-print" onClick={() => setOpen(true)}>
        Add a task
      </Button>
    );
  }
  return (
    <form
      aria-label="New task"
      className="no-print max-w-5xl space-y-3 border-y border-strong bg-sheet p-3"
      onSubmit={(event) => {
        event.preventDefault();
        make.mutate(undefined);
      }}
    >
      <div className="max-w-sm">
        <AssigneeField label="For" value={to} onChange={setTo} error={make.error?.at('to')} />
      </div>
      <TaskFields said={said} onChange={setSaid} others={others} editable={editable} problem={make.error} />
      <ProblemNotice problem={make.error} shown={['to', ...placesOf(said)]} />
      <div className="flex gap-2">
        <Button type="submit" look="main" busy={make.isPending}>
          Create task
        </Button>
        <Button look="quiet" onClick={() => setOpen(false)}>
          Cancel
        </Button>
      </div>
    </form>
  );
}
