import { useQuery } from '@tanstack/react-query';
import type { Schemas } from '../lib/api';
import { quantity } from '../lib/format';
import { queries } from '../lib/queries';
import { inMoney } from '../lib/settings';
import { DataTable, type Column } from '../ui/DataTable';
import { Loading } from '../ui/Loading';
import { Mark } from '../ui/Mark';
import { RoutingFigures } from './RoutingFigures';

type Row = Schemas['OperationRow'];
type Operation = Schemas['OperationData'];

const where = ({ supplier, work_centre }: Operation) => (supplier === '' ? work_centre : `outside, ${supplier}`);
const minutes = (text: string, { supplier }: Operation) => (supplier === '' ? quantity(text) : '');
const run = (of: Operation) => (of.supplier === '' ? `${quantity(of.run)}${of.per === 'batch' ? ' a batch' : ''}` : '');

/** What each column says of one operation. */
const says: [string, string, (of: Operation) => string, boolean?][] = [
  ['number', 'Operation', ({ number }) => String(number), true],
  ['title', 'What is done', ({ title }) => title],
  ['where', 'Work centre or supplier', where],
  ['set_up', 'Set-up, min', (of) => minutes(of.set_up, of), true],
  ['run', 'Run, min', run, true],
  ['cost', 'Cost a unit', ({ cost }) => cost, true],
  ['lead', 'Days', ({ lead_time }) => lead_time, true],
  ['instruction', 'Instruction', ({ instruction }) => instruction],
  ['tools', 'Tools', ({ tools }) => tools.join(' ')],
  ['inspection', 'Inspection', ({ inspection, specification }) => `${inspection} ${specification}`.trim()],
];

const column = ([id, head, text, numeric]: (typeof says)[number]): Column<Row> => ({
  id,
  get head() {
    return id === 'cost' ? inMoney(head) : head;
  },
  ...(numeric && { numeric }),
  text: ({ before, after }) => [before, after].map((one) => (one === null ? '' : text(one))).join(' → '),
  cell: ({ before, after }) => {
    const [was, is] = [before === null ? '' : text(before), after === null ? '' : text(after)];
    if (before === null || after === null || was === is) return is || was;
    return (
      <>
        {was !== '' && <del className="mr-1 text-soft">{was}</del>}
        <ins className="font-semibold no-underline">{is || 'none'}</ins>
      </>
    );
  },
});

const columns: Column<Row>[] = [
  {
    id: 'mark',
    head: 'Difference',
    text: ({ mark }) => (mark === 'unchanged' ? '' : mark),
    cell: ({ mark }) => (mark === 'unchanged' ? '' : <Mark value={mark} word />),
  },
  ...says.map(column),
];

/** What differs in how two plants, two revisions or two days make an item. */
export function RoutingComparison({ asked }: { asked: Record<string, string> }) {
  const page = useQuery(queries.routingComparison(asked));
  return (
    <section aria-label="Operations" className="mb-4">
      <h2 className="mb-1">Operations</h2>
      <Loading query={page}>
        {({ before, after, operations, difference }) => (
          <>
            <DataTable
              label="Operations before and after"
              exportName="operations-compared"
              rows={operations}
              keyOf={({ key }) => key}
              columns={columns}
              rowClass={({ mark }) => `mark-${mark}`}
              rowHeight={null}
              fixedOrder
              empty="Neither side has operations."
            />
            <p aria-label="Minutes and money of one unit" className="mt-1 flex flex-wrap items-baseline gap-x-6">
              <span>
                {side(before)} → {side(after)}
              </span>
              <RoutingFigures before={before.cost} after={after.cost} difference={difference} />
            </p>
          </>
        )}
      </Loading>
    </section>
  );
}

const side = ({ plant, built, batch }: Schemas['RoutingSide']) =>
  plant === '' ? 'not built' : `${plant} ${built ?? ''}, ${quantity(batch)} at once`;
