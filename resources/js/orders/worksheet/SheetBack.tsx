import { useEffect, useState } from 'react';
import { count } from '../../lib/format';
import { Button } from '../../ui/Button';
import { DataTable } from '../../ui/DataTable';
import { Notice, ProblemNotice } from '../../ui/Notice';
import { DifferenceTotals } from '../DifferenceTotals';
import { conflictColumns, type Choices } from '../work/conflictColumns';
import { sheetChangeColumns } from './sheetChangeColumns';
import { SheetFaults } from './SheetFaults';
import { useOrderSheet, type Outcome } from './useOrderSheet';

interface Props {
  order: string;
  file: File;
  onDone: () => void;
}

/** A sheet that came back: what it would do, what is wrong in it, where somebody has to choose; then it is done, all of it. */
export function SheetBack({ order, file, onDone }: Props) {
  const sheet = useOrderSheet(order);
  const [choices, setChoices] = useState<Choices>({});
  useEffect(() => {
    sheet.mutate({ file, choices: {}, keep: 'no' });
    // eslint-disable-next-line react-hooks/exhaustive-deps -- once for each file
  }, [file]);
  const outcome = sheet.data;
  const left = outcome?.conflicts.filter(({ key }) => choices[key] === undefined).length ?? 0;
  return (
    <section aria-label="Edited sheet" className="space-y-2 border-y border-strong bg-sheet px-3 py-2">
      <p className="flex items-baseline gap-4">
        <b className="font-semibold">{file.name}</b>
        {outcome === undefined && !sheet.isError && <span role="status">Reading</span>}
        {outcome && <DifferenceTotals rows={outcome.changes} />}
        {outcome && outcome.agreed > 0 && (
          <span className="text-sm text-soft">{count(outcome.agreed)} of it others have done already</span>
        )}
      </p>
      <ProblemNotice problem={sheet.error} />
      {outcome?.done && (
        <Notice look="good">Done, {linesOf(outcome) > 0 ? 'the lines in one step to undo' : 'as planned now'}.</Notice>
      )}
      {outcome && outcome.faults.length > 0 && (
        <SheetFaults
          faults={outcome.faults}
          marked={outcome.marked === null ? null : `/api/orders/${order}/sheets/${outcome.marked}/marked`}
        />
      )}
      {outcome && outcome.conflicts.length > 0 && (
        <Conflicts
          outcome={outcome}
          choices={choices}
          onChoose={(more) => setChoices((before) => ({ ...before, ...more }))}
        />
      )}
      {outcome && !outcome.done && outcome.changes.length > 0 && (
        <DataTable
          label="What the sheet changes"
          exportName={`sheet-of-${order}`}
          rows={outcome.changes}
          columns={sheetChangeColumns}
          keyOf={(row) => `${row.item} ${row.work} ${row.find} ${row.component} ${row.mark} ${row.fields.join()}`}
          empty=""
        />
      )}
      <div className="flex items-center gap-2">
        {outcome && !outcome.done && outcome.faults.length === 0 && (
          <Button
            look="main"
            busy={sheet.isPending}
            disabled={left > 0 || outcome.changes.length === 0}
            onClick={() => sheet.mutate({ file, choices, keep: 'yes' })}
          >
            {outcome.changes.length === 0
              ? 'Nothing to change'
              : left > 0
                ? `Import: ${count(left)} still to choose`
                : `Import ${count(outcome.changes.length)} ${outcome.changes.length === 1 ? 'change' : 'changes'}`}
          </Button>
        )}
        <Button onClick={onDone}>{outcome?.done ? 'Close' : 'Cancel'}</Button>
      </div>
    </section>
  );
}

const linesOf = (outcome: Outcome) => outcome.changes.filter(({ work }) => work !== 'order').length;

function Conflicts({
  outcome,
  choices,
  onChoose,
}: {
  outcome: Outcome;
  choices: Choices;
  onChoose: (choices: Choices) => void;
}) {
  const all = (choice: 'mine' | 'theirs') =>
    onChoose(Object.fromEntries(outcome.conflicts.map(({ key }) => [key, choice])));
  return (
    <section aria-label="Changed in both">
      <p className="mb-1">
        Since the sheet was downloaded, others have changed the same {count(outcome.conflicts.length)} times. Choose
        what is kept; everything else is merged.
      </p>
      <DataTable
        label="Changed in both"
        rows={outcome.conflicts}
        columns={conflictColumns({
          heads: { before: 'Was', mine: 'Sheet', theirs: 'Theirs' },
          options: { mine: 'Sheet', theirs: 'Theirs' },
          choices,
          choose: (key, choice) => onChoose({ [key]: choice }),
        })}
        keyOf={({ key }) => key}
        rowHeight={null}
        empty=""
      />
      <div className="mt-1 flex gap-2">
        <Button onClick={() => all('mine')}>Keep all of the sheet</Button>
        <Button onClick={() => all('theirs')}>Keep all of theirs</Button>
      </div>
    </section>
  );
}
