import { useState } from 'react';
import { count } from '../../lib/format';
import { Button } from '../../ui/Button';
import { DataTable } from '../../ui/DataTable';
import { Notice, ProblemNotice } from '../../ui/Notice';
import { conflictColumns, type Choices } from './conflictColumns';
import { useWork, type NewerPage, type Work } from './useWork';

interface Props {
  of: Work;
  mayEdit: boolean;
}

/** Says that another order has released a newer revision, and brings it in: where both changed the same, one of them is chosen. */
export function Newer({ of, mayEdit }: Props) {
  const { look, merge } = useWork(of);
  const begin = async () => {
    try {
      const newer = await look.mutateAsync(undefined);
      if (newer.conflicts.length === 0) merge.mutate({});
    } catch {
      // The reason is shown below.
    }
  };
  const conflicts = look.data?.conflicts ?? [];
  return (
    <>
      <Notice>
        Another order has released a newer revision.{' '}
        {mayEdit && conflicts.length === 0 && (
          <button
            type="button"
            className="underline"
            disabled={look.isPending || merge.isPending}
            onClick={() => void begin()}
          >
            Merge it in
          </button>
        )}
      </Notice>
      <ProblemNotice problem={look.error ?? merge.error} />
      {look.data && conflicts.length > 0 && (
        <Conflicts newer={look.data} busy={merge.isPending} onMerge={(choices) => merge.mutate(choices)} />
      )}
    </>
  );
}

interface ConflictsProps {
  newer: NewerPage;
  busy: boolean;
  onMerge: (choices: Choices) => void;
}

function Conflicts({ newer, busy, onMerge }: ConflictsProps) {
  const [choices, setChoices] = useState<Choices>({});
  const all = (choice: 'mine' | 'theirs') =>
    setChoices(Object.fromEntries(newer.conflicts.map(({ key }) => [key, choice])));
  const left = newer.conflicts.filter(({ key }) => choices[key] === undefined).length;
  return (
    <section aria-label="Changed in both" className="border-y border-strong bg-sheet px-3 py-2">
      <p className="mb-1">
        {count(newer.conflicts.length)} of your edits and revision {newer.newest} change the same, since revision{' '}
        {newer.base ?? 'none'}. Choose whose is kept; everything else goes on as it is.
      </p>
      <DataTable
        label="Changed in both"
        rows={newer.conflicts}
        keyOf={({ key }) => key}
        rowHeight={null}
        empty=""
        columns={conflictColumns({
          heads: { before: `Was, ${newer.base ?? 'none'}`, mine: 'Yours', theirs: `Theirs, ${newer.newest ?? ''}` },
          options: { mine: 'Yours', theirs: 'Theirs' },
          choices,
          choose: (key, choice) => setChoices((before) => ({ ...before, [key]: choice })),
        })}
      />
      <div className="mt-2 flex items-center gap-2">
        <Button look="main" disabled={left > 0} busy={busy} onClick={() => onMerge(choices)}>
          {left > 0 ? `Merge: ${count(left)} still to choose` : 'Merge'}
        </Button>
        <Button onClick={() => all('mine')}>Keep all of yours</Button>
        <Button onClick={() => all('theirs')}>Keep all of theirs</Button>
      </div>
    </section>
  );
}
