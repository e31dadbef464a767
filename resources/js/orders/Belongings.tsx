import clsx from 'clsx';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, told, type Schemas } from '../lib/api';
import { count } from '../lib/format';
import { queries } from '../lib/queries';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { useOrderVersion } from '../lib/useOrderVersion';
import { Button } from '../ui/Button';
import { DataTable, type Column } from '../ui/DataTable';
import { Field } from '../ui/Field';
import { Input } from '../ui/Input';
import { ProblemNotice } from '../ui/Notice';
import { ItemNumber } from '../ui/Num';
import { actsColumn, itemColumn } from '../ui/table/columns';

type Row = Schemas['BelongingRow'];
type Becomes = Row['state'];

const kinds: Record<Row['kind'], string> = {
  document: 'Document',
  model: 'Design model',
  operation: 'Operation',
  line: 'Line',
};
const decisionOf = (row: Row) =>
  ({
    open: 'Open',
    along: row.kind === 'model' ? 'Goes along: a new one is uploaded' : 'Goes along: revised under this order',
    adopts: 'Adopts the coming revision as it is',
    left: `Left as it is: ${row.reason} (${row.by ?? ''})`,
  })[row.state];
const keyOf = (row: Row) => [row.item, row.kind, row.other.number, row.fault].join(' ');

/** What can become of a row from here. */
function ways(row: Row): [Becomes, string][] {
  if (row.state === 'along') return [];
  if (row.state !== 'open') return [['open', 'Take back']];
  return [
    // A model is uploaded, a line is changed: neither goes along by a press.
    ...(['line', 'model'].includes(row.kind) ? [] : [['along', 'Take along'] as [Becomes, string]]),
    ...(row.kind === 'document' ? [['adopts', 'Adopt'] as [Becomes, string]] : []),
    ['left', 'Leave …'],
  ];
}

interface Props {
  order: Schemas['OrderData'];
  editable: boolean;
  /** Of its heading on the page it stands on. */
  level?: 2 | 3;
}

/** What belongs together with the items of an order and would not fit by itself: each goes along, adopts, or is left with a reason. */
export function Belongings({ order, editable, level = 3 }: Props) {
  const Heading = `h${level}` as const;
  const version = useOrderVersion(order);
  const found = useQuery(queries.belongings(order.number));
  const [leaving, setLeaving] = useState<Row[] | null>(null);
  const decide = useAct(
    touches.order,
    ({ rows, becomes, reason }: { rows: Row[]; becomes: Becomes; reason?: string }) =>
      told(
        api.POST('/api/orders/{number}/belongings', {
          params: { path: { number: order.number } },
          body: {
            rows: rows.map(({ item, kind, other, fault }) => ({ item, kind, number: other.number, fault })),
            becomes,
            ...(reason !== undefined && { reason }),
            version: version(),
          },
        }),
      ),
    () => setLeaving(null),
    order.number,
  );
  const rows = found.data ?? [];
  if (rows.length === 0) return null;
  const go = (chosen: Row[], becomes: Becomes) =>
    becomes === 'left' ? setLeaving(chosen) : decide.mutate({ rows: chosen, becomes });
  const open = rows.filter((row) => row.state === 'open').length;
  const columns: Column<Row>[] = [
    { id: 'on', head: 'On the order', text: (row) => row.item, cell: (row) => <ItemNumber number={row.item} /> },
    itemColumn<Row>((row) => row.other),
    { id: 'kind', head: 'Tied by', text: (row) => kinds[row.kind], cell: (row) => kinds[row.kind] },
    {
      id: 'fault',
      head: 'Found',
      text: (row) => row.fault,
      cell: (row) => <span className="whitespace-nowrap">{row.fault}</span>,
    },
    {
      id: 'decision',
      head: 'Decision',
      text: decisionOf,
      cell: (row) => (
        <span className={clsx(row.state !== 'left' && 'whitespace-nowrap', row.state === 'open' && 'text-warn')}>
          {decisionOf(row)}
        </span>
      ),
    },
    ...(editable
      ? [
          actsColumn((row: Row) =>
            ways(row).map(([becomes, label]) => (
              <Button
                key={becomes}
                look="quiet"
                className="!px-1.5"
                disabled={decide.isPending}
                aria-label={`${label.replace(' …', '')} ${row.other.number}`}
                onClick={() => go([row], becomes)}
              >
                {label}
              </Button>
            )),
          ),
        ]
      : []),
  ];
  return (
    <section aria-label="What belongs together" className="space-y-2">
      <Heading>What belongs together</Heading>
      <DataTable
        label="What belongs together"
        exportName={`belongings-of-${order.number}`}
        caption={open === 0 ? 'All decided' : `${count(open)} open`}
        rows={rows}
        columns={columns}
        keyOf={keyOf}
        empty=""
        {...(editable &&
          rows.length > 1 && {
            acts: (chosen: Row[], clear: () => void) =>
              common(chosen).map(([becomes, label]) => (
                <Button
                  key={becomes}
                  look="quiet"
                  onClick={() => {
                    go(chosen, becomes);
                    clear();
                  }}
                >
                  {label.replace(' …', '')} {count(chosen.length)}
                </Button>
              )),
          })}
      />
      {leaving !== null && (
        <LeaveForm
          rows={leaving}
          busy={decide.isPending}
          fault={decide.error?.at('reason')}
          onLeave={(reason) => decide.mutate({ rows: leaving, becomes: 'left', reason })}
          onCancel={() => {
            decide.reset();
            setLeaving(null);
          }}
        />
      )}
      <ProblemNotice problem={decide.error} shown={['reason']} />
    </section>
  );
}

/** What can become of all of some rows. */
function common(chosen: Row[]): [Becomes, string][] {
  const [first, ...others] = chosen.map(ways);
  return (first ?? []).filter(([becomes]) => others.every((some) => some.some(([one]) => one === becomes)));
}

interface Leaving {
  rows: Row[];
  busy: boolean;
  fault: string | undefined;
  onLeave: (reason: string) => void;
  onCancel: () => void;
}

function LeaveForm({ rows, busy, fault, onLeave, onCancel }: Leaving) {
  const [reason, setReason] = useState('');
  const names = rows.map((row) => row.other.number).join(', ');
  return (
    <form
      aria-label={`Leave ${names} as it is`}
      className="no-print space-y-2 border-y border-strong bg-sheet p-3"
      onSubmit={(event) => {
        event.preventDefault();
        onLeave(reason);
      }}
    >
      <Field label={`Why ${names} stays as it is, shown in review`} error={fault}>
        <Input value={reason} onChange={(event) => setReason(event.target.value)} />
      </Field>
      <div className="flex gap-2">
        <Button type="submit" look="main" busy={busy}>
          Leave as it is
        </Button>
        <Button look="quiet" onClick={onCancel}>
          Cancel
        </Button>
      </div>
    </form>
  );
}
