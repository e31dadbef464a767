import { useNavigate } from 'react-router';
import type { Schemas } from '../lib/api';
import { placeOf } from '../lib/places';
import { useMay } from '../lib/session';
import { DataTable } from '../ui/DataTable';
import { NewTask } from './NewTask';
import { taskColumns } from './taskColumns';

interface Props {
  /** New tasks are for it. */
  change: string;
  tasks: Schemas['TaskRow'][];
  ended: boolean;
  /** Items of an order that may be edited by tasks. */
  editable: Schemas['EditableItem'][];
  /** What of the order may wait for a task. */
  mayWait: readonly ('review' | 'release')[];
}

/** What is to be done for a change, by whom and by when. */
export function TasksOfChange({ change, tasks, ended, editable, mayWait }: Props) {
  const navigate = useNavigate();
  const manages = useMay('manage_tasks');
  if (ended && tasks.length === 0) return null;
  return (
    <section
      id="tasks"
      aria-labelledby="tasks-head"
      className="scroll-mt-16 space-y-2 border-t border-strong pt-2 pb-6"
    >
      <h2 id="tasks-head">Tasks</h2>
      <DataTable
        label="Tasks"
        exportName={`${change}-tasks`}
        rows={tasks}
        columns={taskColumns}
        keyOf={(task) => task.number}
        onOpen={(task) => void navigate(placeOf(task.number))}
        empty={manages ? 'No tasks yet. Add what somebody has to do for this change.' : 'No tasks yet.'}
      />
      {manages && !ended && (
        <NewTask
          change={change}
          others={tasks.filter((task) => task.change === change)}
          editable={editable}
          mayWait={mayWait}
        />
      )}
    </section>
  );
}
