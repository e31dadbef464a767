import { useQuery } from '@tanstack/react-query';
import type { Schemas } from '../lib/api';
import { day } from '../lib/format';
import { queries } from '../lib/queries';
import { DataTable, type Column } from '../ui/DataTable';
import { Loading } from '../ui/Loading';
import { ChangeNumber } from '../ui/Num';
import { fieldText, fieldUnit, type FieldRow } from './itemFields';

type Revision = Schemas['DataRevisionRow'];

const changed = ({ changes }: Revision) =>
  changes
    .map(
      ({ label, field, before, after }) =>
        `${label} ${fieldText(field, before) || 'not known'} → ${fieldText(field, after) || 'not known'}`,
    )
    .join('; ');

const revisions: Column<Revision>[] = [
  { id: 'code', head: 'Revision', text: ({ code }) => code, cell: ({ code }) => code },
  {
    id: 'from',
    head: 'Effective from',
    text: ({ effective_from }) => effective_from ?? '',
    cell: ({ effective_from }) => day(effective_from),
  },
  {
    id: 'holds',
    head: 'On this day',
    text: ({ holds }) => (holds ? 'holds' : ''),
    cell: ({ holds }) => (holds ? '■ holds' : ''),
  },
  {
    id: 'changes',
    head: 'What changed',
    text: (row) => changed(row) || row.reason,
    cell: (row) => changed(row) || row.reason,
  },
  {
    id: 'order',
    head: 'Order',
    text: ({ order }) => order ?? '',
    cell: ({ order }) => (order === null ? '' : <ChangeNumber number={order} />),
  },
];

/** What is known of an item on a day, and each time it changed. */
export function ItemData({ number, unit, on }: { number: string; unit: string; on: string }) {
  const data = useQuery(queries.itemData(number, on));
  return (
    <Loading query={data}>
      {(of) => (
        <div className="space-y-4">
          <DataTable
            label={`Data of ${number}`}
            exportName={`${number}-data`}
            rows={of.rows.filter(({ after }) => after !== '')}
            keyOf={({ key }) => key}
            columns={columns(unit, of.currency)}
            empty="Nothing is known of it."
          />
          {of.rows.some(({ after }) => after === '') && (
            <p className="text-sm text-soft">
              Not known:{' '}
              {of.rows
                .filter(({ after, field }) => after === '' && field !== 'retired' && field !== 'replaced_by')
                .map(({ label }) => label.toLowerCase())
                .join(', ')}
              .
            </p>
          )}
          <DataTable
            label="When they changed"
            exportName={`${number}-data-revisions`}
            rows={of.revisions}
            keyOf={({ code }) => code}
            columns={revisions}
            rowHeight={null}
            empty="They have never changed under an order."
          />
        </div>
      )}
    </Loading>
  );
}

const columns = (unit: string, currency: string): Column<FieldRow>[] => [
  { id: 'field', head: 'Field', text: ({ label }) => label, cell: ({ label }) => label },
  {
    id: 'value',
    head: 'Value',
    text: ({ field, after }) => fieldText(field, after),
    cell: ({ field, after }) => fieldText(field, after),
  },
  {
    id: 'unit',
    head: 'Unit',
    text: ({ field }) => fieldUnit(field, unit, currency),
    cell: ({ field }) => fieldUnit(field, unit, currency),
  },
];
