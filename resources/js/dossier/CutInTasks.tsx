import { useState } from 'react';
import { api, told, type Schemas } from '../lib/api';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { AssigneeField } from '../tasks/AssigneeField';
import { Button } from '../ui/Button';
import { ProblemNotice } from '../ui/Notice';

interface Props {
  /** For which the tasks are. */
  change: string;
  chosen: Schemas['CutInChosen'];
}

/** Makes tasks of what has to be done by when for a chosen cut-in day: who does what, kind by kind. */
export function CutInTasks({ change, chosen }: Props) {
  const [open, setOpen] = useState(false);
  const [to, setTo] = useState<Record<string, string>>({});
  const kinds = new Map<Schemas['CutInToDo']['kind'], { what: string; many: number }>();
  for (const { kind, what } of chosen.to_do) kinds.set(kind, { what, many: (kinds.get(kind)?.many ?? 0) + 1 });
  const make = useAct(
    touches.task,
    () =>
      told(
        api.POST('/api/changes/{number}/tasks/cut-in', {
          params: { path: { number: change } },
          body: {
            cut_in: chosen.id,
            to: [...kinds.keys()].flatMap((kind) => (to[kind] ? [{ kind, to: to[kind] }] : [])),
          },
        }),
      ),
    () => setOpen(false),
  );
  if (!open) {
    return (
      <Button className="no-print" onClick={() => setOpen(true)}>
        Make tasks of it
      </Button>
    );
  }
  return (
    <form
      aria-label="Make tasks of what to do by when"
      className="no-print max-w-4xl space-y-3 border-y border-strong bg-sheet p-3"
      onSubmit={(event) => {
        event.preventDefault();
        make.mutate(undefined);
      }}
    >
      <p className="text-soft">Each becomes a task with its day. What nobody is chosen for is left out.</p>
      <div className="grid gap-3 sm:grid-cols-2">
        {[...kinds].map(([kind, { what, many }]) => (
          <AssigneeField
            key={kind}
            label={many === 1 ? what : `${what} (${many})`}
            value={to[kind] ?? ''}
            placeholder="Nobody"
            onChange={(name) => setTo({ ...to, [kind]: name })}
            error={make.error?.at(`to.${kind}`)}
          />
        ))}
      </div>
      <ProblemNotice problem={make.error} shown={[...kinds.keys()].map((kind) => `to.${kind}`)} />
      <div className="flex gap-2">
        <Button type="submit" look="main" busy={make.isPending}>
          Make tasks
        </Button>
        <Button look="quiet" onClick={() => setOpen(false)}>
          Cancel
        </Button>
      </div>
    </form>
  );
}
