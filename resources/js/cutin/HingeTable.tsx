import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { ApiProblem, type Schemas } from '../lib/api';
import { cents, signed } from '../lib/format';
import { queries } from '../lib/queries';
import { DataTable, type Column } from '../ui/DataTable';
import { ProblemNotice } from '../ui/Notice';
import { guesses, moved } from './hinges';
import { numberColumn } from './numberColumn';

type Hinge = Schemas['CutInHinge'];

const columns: Column<Hinge>[] = [
  { id: 'guess', head: 'Assumption', text: (r) => guesses[r.guess], cell: (r) => guesses[r.guess] },
  numberColumn('item', 'Item', (r) => r.item),
  {
    id: 'day_less',
    head: 'Best day, 10 % less',
    numeric: true,
    text: (r) => moved(r.day_less),
    cell: (r) => moved(r.day_less),
  },
  { id: 'day_more', head: '10 % more', numeric: true, text: (r) => moved(r.day_more), cell: (r) => moved(r.day_more) },
  {
    id: 'cost_less',
    head: 'Its cost, 10 % less',
    numeric: true,
    text: (r) => r.cost_less,
    cell: (r) => signed(cents(r.cost_less)),
  },
  {
    id: 'cost_more',
    head: '10 % more',
    numeric: true,
    text: (r) => r.cost_more,
    cell: (r) => signed(cents(r.cost_more)),
  },
];

/** What the answer hangs on: how far the best day and its cost move when one assumption is wrong by a tenth, the worst first. */
export function HingeTable({ question, ready }: { question: Schemas['CutInQuestion']; ready: boolean }) {
  const list = useQuery({ ...queries.cutInHinges(question), enabled: ready, placeholderData: keepPreviousData });
  return (
    <>
      <ProblemNotice problem={list.error instanceof ApiProblem ? list.error : null} shown={[]} />
      <DataTable
        label="What this answer hangs on"
        caption="What this answer hangs on, worst first"
        exportName="cut-in-hinges"
        rows={list.data ?? []}
        columns={columns}
        keyOf={(row) => `${row.guess} ${row.item}`}
        empty={
          list.isPending
            ? 'Reckoning each assumption a tenth less and a tenth more.'
            : 'No assumption moves the best day or its cost.'
        }
      />
    </>
  );
}
