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
  /** What of the order may wait for it. */
  mayWait: readonly ('review' | 'release')[];
  /** What it answers, where it is not thought of by hand: its title and text to begin with. */
  about?: { title: string; text: string };
}

/** Gives a person or a group something to do for a change. */
export function NewTask({ change, others, editable, mayWait, about }: Props) {
  const first = { ...nothingSaid, ...about };
  const [open, setOpen] = useState(false);
  const [to, setTo] = useState('');
  const [said, setSaid] = useState(first);
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
      setSaid(first);
      setOpen(false);
    },
  );
  if (!open) {
    return (
      <Button
        {...(about && { look: 'quiet', 'aria-label': `Create a task: ${about.title}` })}
        className={about ? 'no-print !h-6 !px-1' : 'no-print'}
        onClick={() => setOpen(true)}
      >
        {about ? 'Create a task' : 'Add a task'}
      </Button>
    );
  }
  return (
    <form
      aria-label={about ? `New task: ${about.title}` : 'New task'}
      className="no-print max-w-5xl space-y-3 border-y border-strong bg-sheet p-3"
      onSubmit={(event) => {
        event.preventDefault();
        make.mutate(undefined);
      }}
    >
      <div className="max-w-sm">
        <AssigneeField label="For" value={to} onChange={setTo} error={make.error?.at('to')} />
      </div>
      <TaskFields
        said={said}
        onChange={setSaid}
        others={others}
        editable={editable}
        mayWait={mayWait}
        problem={make.error}
      />
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
