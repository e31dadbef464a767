import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { ApiProblem, type Schemas } from '../lib/api';
import { day } from '../lib/format';
import { queries } from '../lib/queries';
import { DataTable } from '../ui/DataTable';
import { ProblemNotice } from '../ui/Notice';
import { toDoColumns, toDoKey } from './toDoColumns';

interface Props {
  question: Schemas['CutInQuestion'];
  on: string;
  /** Whether the plan is known: it is asked of planning once, for all. */
  ready: boolean;
}

/** What has to be done by when for a cut-in on a day. */
export function ToDoTable({ question, on, ready }: Props) {
  const list = useQuery({
    ...queries.cutInToDo(question, on),
    enabled: ready && on !== '',
    placeholderData: keepPreviousData,
  });
  return (
    <>
      <ProblemNotice problem={list.error instanceof ApiProblem ? list.error : null} shown={[]} />
      <DataTable
        label="What to do by when"
        caption={`What to do by when, for a cut-in on ${day(on)}`}
        exportName={`cut-in-to-do-${on}`}
        rows={list.data ?? []}
        columns={toDoColumns}
        keyOf={toDoKey}
        empty={list.isPending ? 'Reading.' : 'Nothing has to be done.'}
      />
    </>
  );
}
