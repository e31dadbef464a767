import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { Schemas } from '../lib/api';
import { amount, day, moment, quantity } from '../lib/format';
import { queries } from '../lib/queries';
import { useMay } from '../lib/session';
import { supplyKinds } from '../lib/words';
import { inMoney } from '../lib/settings';
import { DataTable, type Column } from '../ui/DataTable';
import { Loading } from '../ui/Loading';
import { ItemNumber } from '../ui/Num';
import { Notice } from '../ui/Notice';
import { ExposureTotals } from './ExposureTotals';
import { Introduce } from './Introduce';

type Line = Schemas['SupplyRow'] & { item: string };

const columns: Column<Line>[] = [
  { id: 'item', head: 'Item', text: (r) => r.item, cell: (r) => <ItemNumber number={r.item} /> },
  { id: 'kind', head: 'Kind', text: (r) => supplyKinds[r.kind], cell: (r) => supplyKinds[r.kind] },
  {
    id: 'document',
    head: 'Document or lot',
    text: (r) => r.document,
    cell: (r) => (
      <a href={r.page} target="_blank" rel="noreferrer" className="font-mono text-sm text-accent underline">
        {r.document}
      </a>
    ),
  },
  { id: 'serial', head: 'Serial number', text: (r) => r.serial, cell: (r) => r.serial },
  { id: 'revision', head: 'Revision named', text: (r) => r.revision, cell: (r) => r.revision },
  {
    id: 'quantity',
    head: 'Quantity',
    numeric: true,
    text: (r) => r.quantity,
    cell: (r) => `${quantity(r.quantity)} ${r.unit}`,
  },
  {
    id: 'value',
    get head() {
      return inMoney('Value');
    },
    numeric: true,
    text: (r) => r.value,
    cell: (r) => amount(r.value),
  },
  { id: 'due', head: 'Due', text: (r) => r.due ?? '', cell: (r) => day(r.due) },
  { id: 'place', head: 'Place', text: (r) => r.place, cell: (r) => r.place },
  { id: 'status', head: 'Status', text: (r) => r.status, cell: (r) => r.status },
];

interface Props {
  items: string[];
  /** Items that a change brings in: planning has to know them, but nothing of them is at stake. */
  coming?: string[];
}

/** Stock and open documents of some items: a row of totals an item, and the documents behind them. */
export function ExposureView({ items, coming = [] }: Props) {
  const exposure = useQuery(queries.exposure([...new Set([...items, ...coming])]));
  const [all, setAll] = useState(false);
  const maySend = useMay('send_handover');
  return (
    <div>
      <h3 className="mb-1">Exposure</h3>
      <Loading query={exposure}>
        {({ items: told, strangers }) => {
          const unknown = told.filter((row) => !row.known).map((row) => row.item);
          const rows = told.filter((row) => items.includes(row.item));
          const fault = rows.find((row) => row.fault !== null);
          const lines = rows.flatMap((row) => row.rows.map((line) => ({ ...line, item: row.item })));
          return (
            <div className="space-y-2">
              {fault && (
                <Notice look="warn">
                  {fault.fault}{' '}
                  {fault.fetched_at
                    ? `Shown: planning data as of ${moment(fault.fetched_at)}.`
                    : 'No earlier planning data for these items.'}{' '}
                  <button type="button" className="underline" onClick={() => void exposure.refetch()}>
                    Ask again
                  </button>
                </Notice>
              )}
              {unknown.length > 0 && (
                <div className="text-soft">
                  {unknown.join(', ')} {unknown.length === 1 ? 'is' : 'are'} not in planning.{' '}
                  {maySend && <Introduce numbers={unknown} />}
                </div>
              )}
              {strangers.length > 0 && (
                <Notice look="warn">
                  Planning also returned {strangers.join(', ')}, which {strangers.length === 1 ? 'was' : 'were'} not
                  requested; ignored.
                </Notice>
              )}
              <ExposureTotals rows={rows} />
              <button
                type="button"
                aria-expanded={all}
                className="text-sm text-accent hover:underline"
                onClick={() => setAll(!all)}
              >
                {all ? 'Hide the documents' : `Show the ${lines.length} lots and documents`}
              </button>
              {all && (
                <DataTable
                  label="Lots and open documents"
                  rows={lines}
                  columns={columns}
                  keyOf={(row) => `${row.item} ${row.kind} ${row.document} ${row.place} ${row.due ?? ''}`}
                  empty="No stock and no open orders."
                  exportName="exposure"
                />
              )}
            </div>
          );
        }}
      </Loading>
    </div>
  );
}
