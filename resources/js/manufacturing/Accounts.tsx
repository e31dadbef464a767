import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import type { Schemas } from '../lib/api';
import { count } from '../lib/format';
import { queries } from '../lib/queries';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { DataTable } from '../ui/DataTable';
import { Loading } from '../ui/Loading';
import { Notice } from '../ui/Notice';
import { actsColumn } from '../ui/table/columns';
import { accountColumns, suggestedColumn } from './accountColumns';
import { additionColumns } from './additionColumns';
import { RecordForm } from './RecordForm';
import { TakeOver, TakeOverThese } from './TakeOver';

type Page = Schemas['AccountabilityPage'];
type Row = Schemas['AccountRow'];

interface Props {
  number: string;
  on: string;
  /** Empty: the first plant that builds it. */
  plant: string;
  /** An open order that names it: engineering and manufacturing as that would make them. */
  order?: string | undefined;
}

/** What a plant has taken over of an engineering structure, line by line, and what it builds besides. */
export function Accounts({ number, on, plant, order }: Props) {
  const [sibling, setSibling] = useState('');
  const page = useQuery({
    ...queries.accountability(number, {
      on,
      plant,
      ...(order !== undefined && { order }),
      ...(sibling !== '' && { sibling }),
    }),
    placeholderData: keepPreviousData,
  });
  return (
    <Loading query={page}>
      {(of) => (
        <div className="space-y-3">
          <Verdict of={of} />
          {of.order && of.plant !== null && (
            <TakeOver of={of} order={of.order} plant={of.plant} onSibling={setSibling} />
          )}
          {of.plant !== null && <Lines of={of} plant={of.plant} />}
        </div>
      )}
    </Loading>
  );
}

function Lines({ of, plant }: { of: Page; plant: string }) {
  const [recording, setRecording] = useState<string | null>(null);
  const [params, setParams] = useSearchParams();
  const onlyOpen = params.get('lines') === 'open';
  const show = (lines: 'all' | 'open') =>
    setParams(
      (before) => {
        if (lines === 'all') before.delete('lines');
        else before.set('lines', lines);
        return before;
      },
      { replace: true },
    );
  const at = of.order?.may_edit
    ? { order: of.order.number, item: of.item, plant, seen: of.order.seen, sibling: of.sibling }
    : null;
  const recorded = of.lines.find(({ line }) => line.key === recording);
  return (
    <>
      <DataTable
        label={`Engineering lines of ${of.item} at ${plant}`}
        exportName={`${of.item}-accountability`}
        rows={onlyOpen ? of.lines.filter(({ account }) => account === 'open') : of.lines}
        keyOf={({ line }) => line.key}
        columns={
          at
            ? [
                ...accountColumns,
                suggestedColumn,
                actsColumn(({ line }: Row) => (
                  <Button
                    look="quiet"
                    className="!h-6"
                    aria-label={`On record: find ${line.find} …`}
                    onClick={() => setRecording(line.key)}
                  >
                    Record …
                  </Button>
                )),
              ]
            : accountColumns
        }
        {...(at && { acts: (rows: Row[], clear: () => void) => <TakeOverThese at={at} rows={rows} onDone={clear} /> })}
        rowHeight={null}
        empty={onlyOpen ? 'Nothing is open.' : 'Engineering declares no lines on that day.'}
        caption={
          <Choice
            label="Lines"
            value={onlyOpen ? 'open' : 'all'}
            onChange={show}
            options={{ all: `All ${count(of.lines.length)}`, open: `Open ${count(of.open)}` }}
          />
        }
      />
      {at && recorded && <RecordForm key={recording} at={at} row={recorded} onDone={() => setRecording(null)} />}
      <section aria-labelledby="additions">
        <h3 id="additions" className="mb-1">
          Only in manufacturing
        </h3>
        <DataTable
          label={`Additions at ${plant}`}
          exportName={`${of.item}-additions`}
          rows={of.additions}
          keyOf={({ key, through }) => `${through.join(' ')} ${key}`}
          columns={additionColumns}
          empty="The plant adds nothing to what engineering declares."
        />
      </section>
    </>
  );
}

/** Complete is an empty list, and said so. */
function Verdict({ of }: { of: Page }) {
  if (of.plant === null) return <Notice>No plant builds it on that day: nothing of it is taken over.</Notice>;
  const built =
    of.built === null
      ? `${of.plant} does not build it yet`
      : `${of.plant} builds it by its revision ${of.built}, planned for ${of.builds ?? 'none'}`;
  const declared = of.order
    ? `engineering as ${of.order.number} would make it`
    : of.declared === null
      ? 'engineering has none in force'
      : `engineering is at ${of.declared}`;
  return of.open === 0 ? (
    <Notice look="good">
      <b>Complete.</b> {count(of.lines.length)} lines accounted for, none open. {built}; {declared}.
    </Notice>
  ) : (
    <Notice>
      <b>
        {count(of.open)} of {count(of.lines.length)} lines open.
      </b>{' '}
      {built}; {declared}.
    </Notice>
  );
}
