import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { ApiProblem, type Schemas } from '../lib/api';
import { amount, cents, day } from '../lib/format';
import { queries } from '../lib/queries';
import { DataTable, type Column } from '../ui/DataTable';
import { Field } from '../ui/Field';
import { ProblemNotice } from '../ui/Notice';
import { WholeInput } from '../ui/WholeInput';

type Chance = Schemas['CutInChance'];

const money = (name: 'left_median' | 'left_most' | 'short_most', head: string): Column<Chance> => ({
  id: name,
  head,
  numeric: true,
  text: (r) => r[name],
  cell: (r) => amount(cents(r[name])),
});

const columns: Column<Chance>[] = [
  { id: 'on', head: 'Day', text: (r) => r.on, cell: (r) => day(r.on) },
  { id: 'short', head: 'A part missing, %', numeric: true, text: (r) => r.short, cell: (r) => r.short },
  money('short_most', 'Shortage, 9 of 10 below'),
  money('left_median', 'Leftover, half below'),
  money('left_most', 'Leftover, 9 of 10 below'),
];

/** How likely a shortage and a leftover of what size are, when demand and lead times are uncertain: the same 500 samples each time. */
export function ChanceTable({
  question,
  ready,
  onDay,
}: {
  question: Schemas['CutInQuestion'];
  ready: boolean;
  onDay: (on: string) => void;
}) {
  const [demand, setDemand] = useState<number | undefined>(20);
  const [lead, setLead] = useState<number | undefined>(10);
  const list = useQuery({
    ...queries.cutInChances(question, demand ?? 0, lead ?? 0),
    enabled: ready,
    placeholderData: keepPreviousData,
  });
  const problem = list.error instanceof ApiProblem ? list.error : null;
  return (
    <div className="mt-1 space-y-2">
      <div className="flex gap-4">
        <Field className="w-48" label="Demand may differ by, %" error={problem?.at('spread_demand')}>
          <WholeInput value={demand} placeholder="0" onChange={setDemand} />
        </Field>
        <Field className="w-48" label="Lead times may differ by, %" error={problem?.at('spread_lead')}>
          <WholeInput value={lead} placeholder="0" onChange={setLead} />
        </Field>
      </div>
      <ProblemNotice problem={problem} shown={['spread_demand', 'spread_lead']} />
      <DataTable
        label="Chances of shortage and leftover"
        caption="500 samples of demand and lead times, one day of each week"
        exportName="cut-in-chances"
        rows={list.data ?? []}
        columns={columns}
        keyOf={(row) => row.on}
        onOpen={(row) => onDay(row.on)}
        empty={list.isPending ? 'Reckoning 500 samples.' : 'No day is possible.'}
      />
    </div>
  );
}
