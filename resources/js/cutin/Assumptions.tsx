import type { Schemas } from '../lib/api';
import { DataTable, type Column } from '../ui/DataTable';
import { Input } from '../ui/Input';
import { turn, type Question } from './question';
import { numberColumn } from './numberColumn';

type Assumption = Schemas['CutInAssumption'];

/** Where an assumption comes from, in words. */
export const sources: Record<Assumption['from'], string> = {
  planning: 'planning',
  item: 'item data',
  plant: 'item data of the plant',
  rule: 'rule',
  person: 'overridden',
};

interface Props {
  assumptions: Assumption[];
  question: Question;
  onChange: (question: Question) => void;
}

/** All that the plan takes for granted, with where it comes from; where somebody says otherwise, why. */
export function Assumptions({ assumptions, question, onChange }: Props) {
  const leverOf = (one: Assumption) => (one.item === '' ? (one.lever ?? '') : `${one.lever ?? ''} ${one.item}`);
  const reasons = question.reasons ?? [];
  const give = (lever: string, reason: string) => {
    const others = reasons.filter((one) => one.lever !== lever);
    onChange(turn(question, 'reasons', reason.trim() === '' ? others : [...others, { lever, reason: reason.trim() }]));
  };
  const columns: Column<Assumption>[] = [
    { id: 'what', head: 'Assumption', text: (r) => r.what, cell: (r) => r.what },
    numberColumn('item', 'Item', (r) => r.item),
    { id: 'plant', head: 'Plant', text: (r) => r.plant, cell: (r) => r.plant },
    {
      id: 'value',
      head: 'Value',
      numeric: true,
      text: (r) => r.value,
      cell: (r) => (r.value === '' ? <span className="text-alarm">not known</span> : r.value),
    },
    { id: 'unit', head: 'Unit', text: (r) => r.unit, cell: (r) => <span className="text-soft">{r.unit}</span> },
    { id: 'from', head: 'From', text: (r) => sources[r.from], cell: (r) => sources[r.from] },
    {
      id: 'reason',
      head: 'Reason',
      text: (r) => r.reason,
      cell: (r) =>
        r.from === 'person' && r.lever !== null ? (
          <Input
            className="!h-6 min-w-40"
            aria-label={`Reason for ${r.what.toLowerCase()} ${r.item}`.trim()}
            placeholder="Why"
            defaultValue={reasons.find((one) => one.lever === leverOf(r))?.reason ?? ''}
            onBlur={(event) => give(leverOf(r), event.target.value)}
          />
        ) : null,
    },
  ];
  return (
    <DataTable
      label="Assumptions"
      caption="Assumptions, and where each comes from"
      exportName="cut-in-assumptions"
      rows={assumptions}
      columns={columns}
      keyOf={(row) => `${row.what} ${row.item} ${row.plant}`}
      empty=""
    />
  );
}
