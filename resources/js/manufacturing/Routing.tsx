import { useQuery } from '@tanstack/react-query';
import type { Schemas } from '../lib/api';
import { amount, quantity } from '../lib/format';
import { queries } from '../lib/queries';
import { inMoney } from '../lib/settings';
import { DataTable, type Column } from '../ui/DataTable';
import { Loading } from '../ui/Loading';
import { ItemNumber } from '../ui/Num';
import { SaveAs } from '../ui/SaveAs';
import { WorkCentre } from './WorkCentre';

type Operation = Schemas['OperationData'];

const items = (numbers: string[]) =>
  numbers
    .filter((number) => number !== '')
    .map((number) => (
      <span key={number} className="mr-2">
        <ItemNumber number={number} />
      </span>
    ));
const minutes = (text: string, { supplier }: Operation) => (supplier === '' ? quantity(text) : '');

const columns = (plant: string): Column<Operation>[] => [
  {
    id: 'number',
    head: 'Operation',
    numeric: true,
    text: ({ number }) => String(number),
    cell: ({ number }) => number,
  },
  { id: 'title', head: 'What is done', text: ({ title }) => title, cell: ({ title }) => title },
  {
    id: 'where',
    head: 'Work centre or supplier',
    text: ({ work_centre, supplier }) => (supplier === '' ? work_centre : supplier),
    cell: ({ work_centre, supplier }) =>
      supplier === '' ? <WorkCentre plant={plant} code={work_centre} /> : `outside, ${supplier}`,
  },
  {
    id: 'set_up',
    head: 'Set-up, min',
    numeric: true,
    text: ({ set_up }) => set_up,
    cell: (row) => minutes(row.set_up, row),
  },
  {
    id: 'run',
    head: 'Run, min',
    numeric: true,
    text: ({ run }) => run,
    cell: (row) => `${minutes(row.run, row)}${row.per === 'batch' ? ' a batch' : ''}`,
  },
  {
    id: 'cost',
    get head() {
      return inMoney('Cost a unit');
    },
    numeric: true,
    text: ({ cost }) => cost,
    cell: ({ cost }) => (cost === '' ? '' : amount(cost)),
  },
  { id: 'lead', head: 'Days', numeric: true, text: ({ lead_time }) => lead_time, cell: ({ lead_time }) => lead_time },
  {
    id: 'instruction',
    head: 'Instruction',
    text: ({ instruction }) => instruction,
    cell: ({ instruction }) => items([instruction]),
  },
  { id: 'tools', head: 'Tools', text: ({ tools }) => tools.join(' '), cell: ({ tools }) => items(tools) },
  {
    id: 'inspection',
    head: 'Inspection',
    text: ({ inspection, specification }) => `${inspection} ${specification}`.trim(),
    cell: ({ inspection, specification }) => (
      <>
        {inspection} {items([specification])}
      </>
    ),
  },
];

interface Props {
  number: string;
  on: string;
  /** Empty: the first plant that builds it. */
  plant: string;
}

/** How a plant makes an item on a day, and what one unit takes and costs there. */
export function Routing({ number, on, plant }: Props) {
  const page = useQuery(queries.routing(number, { on, plant }));
  return (
    <Loading query={page}>
      {(of) =>
        of.plant === null ? (
          <p className="border-y border-rule py-3 text-soft">No plant builds it on that day.</p>
        ) : (
          <div className="space-y-2">
            <p className="flex flex-wrap justify-between gap-x-4">
              <span>
                {of.plant} builds it by its revision {of.built}, {quantity(of.batch)} at once. One unit takes{' '}
                {quantity(of.cost.run)} min and {quantity(of.cost.set_up)} min of set-up.
              </span>
              <SaveAs
                address={`/api/items/${of.item}/built`}
                query={new URLSearchParams({ on, plant: of.plant }).toString()}
                formats={['csv', 'xlsx', 'json']}
              />
            </p>
            <DataTable
              label={`Routing of ${of.item} at ${of.plant}`}
              exportName={`${of.item}-routing`}
              rows={of.operations}
              keyOf={({ key }) => key}
              columns={columns(of.plant)}
              rowHeight={null}
              empty="Nothing is said of its operations."
            />
            <p aria-label="Cost of one unit" className="flex flex-wrap gap-x-6">
              <Part label={inMoney('Material')} value={of.cost.material} />
              <Part label="Labour" value={of.cost.labour} />
              <Part label="Set-up" value={of.cost.set_up_cost} />
              <Part label="Subcontract" value={of.cost.subcontract} />
              <Part label="Together" value={of.cost.total} />
              {of.cost.missing.map((words) => (
                <span key={words} className="text-alarm">
                  ▲ {words}
                </span>
              ))}
            </p>
          </div>
        )
      }
    </Loading>
  );
}

function Part({ label, value }: { label: string; value: string }) {
  return (
    <span>
      <span className="text-sm text-soft">{label}</span> {amount(value)}
    </span>
  );
}
