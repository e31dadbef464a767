import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useSearchParams } from 'react-router';
import { count, day } from '../../lib/format';
import { queries } from '../../lib/queries';
import { differences, kinds } from '../../lib/words';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { Loading } from '../../ui/Loading';
import { Mark } from '../../ui/Mark';
import { Notice } from '../../ui/Notice';
import { Page } from '../../ui/Page';
import { SaveAs } from '../../ui/SaveAs';
import { ApiProblem, type Schemas } from '../../lib/api';
import { RoutingComparison } from '../../manufacturing/RoutingComparison';
import { CompareTable } from './CompareTable';
import { SideForm } from './SideForm';

type Side = Schemas['ComparisonSide'];

/** Two structures side by side: what differs, and where. All of it is in the address, so that it can be sent to someone. */
export function ComparePage() {
  const [params, setParams] = useSearchParams();
  const asked = Object.fromEntries(params);
  const comparison = useQuery({ ...queries.comparison(asked), placeholderData: keepPreviousData });
  const set = (changes: Record<string, string>) =>
    setParams(
      (before) => {
        for (const [name, value] of Object.entries(changes)) {
          if (value === '') before.delete(name);
          else before.set(name, value);
        }
        return before;
      },
      { replace: true },
    );
  const picked = (asked.kinds ?? '').split(',').filter(Boolean);
  const swap = () => {
    const next = new URLSearchParams();
    for (const [name, value] of params) {
      next.set(
        name.replace(/^(left|right)/, (side) => (side === 'left' ? 'right' : 'left')),
        value,
      );
    }
    setParams(next, { replace: true });
  };

  return (
    <Page
      title="Compare structures"
      aside={<SaveAs address="/api/comparison" query={params.toString()} formats={['csv', 'xlsx', 'pdf']} />}
    >
      <div className="no-print mb-3 grid gap-x-8 gap-y-2 border-y border-strong bg-sheet px-3 py-2 lg:grid-cols-[1fr_auto_1fr]">
        <SideForm
          side="left"
          head="Before"
          asked={asked}
          onChange={set}
          problem={comparison.error instanceof ApiProblem ? comparison.error : null}
        />
        <div className="self-center">
          <Button onClick={swap}>Swap sides</Button>
        </div>
        <SideForm
          side="right"
          head="After"
          asked={asked}
          onChange={set}
          problem={comparison.error instanceof ApiProblem ? comparison.error : null}
        />
      </div>
      {asked.left && asked.right ? (
        <Loading query={comparison}>
          {(page) => (
            <>
              <p className="mb-2">
                <b className="font-semibold">{told(page.left)}</b> against{' '}
                <b className="font-semibold">{told(page.right)}</b>
              </p>
              <div className="mb-2 flex flex-wrap items-center gap-x-5 gap-y-1 text-sm">
                <Choice
                  label="Levels"
                  value={asked.levels === 'one' ? 'one' : 'all'}
                  onChange={(levels) => set({ levels: levels === 'one' ? 'one' : '' })}
                  options={{ all: 'All levels', one: 'One level' }}
                />
                <span role="group" aria-label="Kinds of difference" className="flex flex-wrap gap-x-4">
                  {differences.map((kind) => (
                    <label key={kind} className="flex items-center gap-1.5">
                      <input
                        type="checkbox"
                        checked={picked.length === 0 || picked.includes(kind)}
                        onChange={(event) => {
                          const before = picked.length === 0 ? [...differences] : picked;
                          const next = event.target.checked ? [...before, kind] : before.filter((one) => one !== kind);
                          set({ kinds: next.length === differences.length ? '' : next.join(',') });
                        }}
                      />
                      <Mark value={kind} word /> {count(page.totals[kind] ?? 0)}
                    </label>
                  ))}
                </span>
                <span className="text-soft">{count(page.totals.unchanged ?? 0)} lines are the same</span>
              </div>
              {page.count > page.rows.length && (
                <Notice>
                  The first {count(page.rows.length)} of {count(page.count)} differences are here. A file has all of
                  them.
                </Notice>
              )}
              {built(asked) && <RoutingComparison asked={asked} />}
              <CompareTable rows={page.rows} same={page.count === 0} />
            </>
          )}
        </Loading>
      ) : (
        <p className="text-soft">
          Choose what to compare: two items, or one item on two days, in two revisions, or before and after an order.
        </p>
      )}
    </Page>
  );
}

/** Whether both sides are what plants build: those have operations. */
const built = (asked: Record<string, string>) =>
  ['left', 'right'].every((side) => asked[`${side}_kind`] === 'manufacturing' && !asked[`${side}_file`]);

function told(side: Side): string {
  const how = side.file
    ? `as in ${side.file}`
    : side.order
      ? `after ${side.order}`
      : side.revision
        ? `revision ${side.revision}`
        : `as of ${day(side.on)}`;
  const plant = side.plant === '' ? '' : `, plant ${side.plant}`;
  return `${side.number} ${side.title}, ${kinds[side.kind].toLowerCase()}${plant}, ${how}`;
}
