import { useInfiniteQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
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
  const onlyOpen = useSearchParams()[0].get('lines') === 'open';
  const pages = useInfiniteQuery(
    queries.accountabilityPages(number, {
      on,
      plant,
      ...(order !== undefined && { order }),
      ...(sibling !== '' && { sibling }),
      ...(order === undefined && onlyOpen && { lines: 'open' }),
    }),
  );
  const { hasNextPage, isFetching, isError, fetchNextPage } = pages;
  // The first lines are here at once; the others follow by themselves.
  useEffect(() => {
    if (hasNextPage && !isFetching && !isError) void fetchNextPage();
  }, [hasNextPage, isFetching, isError, fetchNextPage]);
  const all = async () => {
    let read = pages;
    while (read.hasNextPage) read = await fetchNextPage();
    return (read.data?.pages ?? []).flatMap(({ lines }) => lines);
  };
  return (
    <Loading query={pages}>
      {({ pages: [first, ...rest] }) =>
        first && (
          <div className="space-y-3">
            <Verdict of={first} />
            {first.order && first.plant !== null && (
              <TakeOver of={first} order={first.order} plant={first.plant} onSibling={setSibling} />
            )}
            {first.plant !== null && (
              <Lines
                of={{ ...first, lines: [first, ...rest].flatMap(({ lines }) => lines) }}
                plant={first.plant}
                paged={hasNextPage ? { more: () => undefined, all } : undefined}
              />
            )}
          </div>
        )
      }
    </Loading>
  );
}

interface LinesProps {
  of: Page;
  plant: string;
  /** Given while some of them are not here yet. */
  paged: { more: () => void; all: () => Promise<Row[]> } | undefined;
}

function Lines({ of, plant, paged }: LinesProps) {
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
        {...(paged && { paged })}
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
            options={{ all: `All ${count(of.count)}`, open: `Open ${count(of.open)}` }}
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
      <b>Complete.</b> {count(of.count)} lines accounted for, none open. {built}; {declared}.
    </Notice>
  ) : (
    <Notice>
      <b>
        {count(of.open)} of {count(of.count)} lines open.
      </b>{' '}
      {built}; {declared}.
    </Notice>
  );
}
