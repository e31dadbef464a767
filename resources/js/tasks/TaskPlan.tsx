import { useState } from 'react';
import { api, told, type Schemas } from '../lib/api';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { Button } from '../ui/Button';
import { ProblemNotice } from '../ui/Notice';
import { stillEdited } from './EditedSubjects';
import { bodyOf, placesOf, TaskFields, type Said } from './TaskFields';

/** Says anew what a task is, by when, and what it waits for. */
export function TaskPlan({ page, onDone }: { page: Schemas['TaskPage']; onDone: () => void }) {
  const { task } = page;
  const [said, setSaid] = useState<Said>({
    kind: task.kind,
    title: task.title,
    text: page.text,
    due_on: task.due_on ?? '',
    priority: task.priority,
    estimate_hours: task.estimate_hours ?? undefined,
    checks: page.checks.map(({ text }) => text).join('\n'),
    waits_for: page.waits.map(({ number }) => number),
    edits: stillEdited(page.edits, page.editable),
    before_review: page.before_review,
    before_release: page.before_release,
  });
  const plan = useAct(
    touches.task,
    () =>
      told(
        api.PATCH('/api/tasks/{number}', {
          params: { path: { number: task.number } },
          body: { ...bodyOf(said), version: task.version },
        }),
      ),
    onDone,
  );
  return (
    <form
      aria-label="Edit task"
      className="no-print max-w-5xl space-y-3 border-y border-strong bg-sheet p-3"
      onSubmit={(event) => {
        event.preventDefault();
        plan.mutate(undefined);
      }}
    >
      <TaskFields
        said={said}
        onChange={setSaid}
        others={page.others}
        editable={page.editable}
        mayWait={page.may_wait}
        problem={plan.error}
      />
      <ProblemNotice problem={plan.error} shown={placesOf(said)} />
      <div className="flex gap-2">
        <Button type="submit" look="main" busy={plan.isPending}>
          Save
        </Button>
        <Button look="quiet" onClick={onDone}>
          Cancel
        </Button>
      </div>
    </form>
  );
}
