import { useQuery } from '@tanstack/react-query';
import { useSearchParams } from 'react-router';
import type { Schemas } from '../lib/api';
import { count } from '../lib/format';
import { queries } from '../lib/queries';
import { Choice } from '../ui/Choice';
import { DataTable } from '../ui/DataTable';
import { Loading } from '../ui/Loading';
import { Notice } from '../ui/Notice';
import { accountColumns } from './accountColumns';
import { additionColumns } from './additionColumns';

interface Props {
  number: string;
  on: string;
  /** Empty: the first plant that builds it. */
  plant: string;
  /** An open order that revises it: engineering as that would make it. */
  order?: string | undefined;
}

/** What a plant has taken over of an engineering structure, line by line, and what it builds besides. */
export function Accounts({ number, on, plant, order }: Props) {
  const page = useQuery(queries.accountability(number, { on, plant, ...(order !== undefined && { order }) }));
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
  return (
    <Loading query={page}>
      {(of) => (
        <div className="space-y-3">
          <Verdict of={of} order={order} />
          {of.plant !== null && (
            <>
              <DataTable
                label={`Engineering lines of ${number} at ${of.plant}`}
                exportName={`${number}-accountability`}
                rows={onlyOpen ? of.lines.filter(({ account }) => account === 'open') : of.lines}
                keyOf={({ line }) => line.key}
                columns={accountColumns}
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
              <section aria-labelledby="additions">
                <h3 id="additions" className="mb-1">
                  Only in manufacturing
                </h3>
                <DataTable
                  label={`Additions at ${of.plant}`}
                  exportName={`${number}-additions`}
                  rows={of.additions}
                  keyOf={({ key, through }) => `${through.join(' ')} ${key}`}
                  columns={additionColumns}
                  empty="The plant adds nothing to what engineering declares."
                />
              </section>
            </>
          )}
        </div>
      )}
    </Loading>
  );
}

/** Complete is an empty list, and said so. */
function Verdict({ of, order }: { of: Schemas['AccountabilityPage']; order: string | undefined }) {
  if (of.plant === null) return <Notice>No plant builds it on that day: nothing of it is taken over.</Notice>;
  const built = `${of.plant} builds it by its revision ${of.built ?? ''}, planned for ${of.builds ?? 'none'}`;
  const declared =
    order !== undefined
      ? `engineering as ${order} would make it`
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
