import { api, told, type Schemas } from '../lib/api';
import { count, moment } from '../lib/format';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { Button } from '../ui/Button';
import { DataTable, type Column } from '../ui/DataTable';
import { Notice } from '../ui/Notice';

type Row = Schemas['ImportData'];

const states: Record<Row['state'], string> = {
  waiting: 'queued',
  checking: 'being checked',
  writing: 'being imported',
  done: '■ imported',
  refused: '▲ refused, nothing was saved',
  failed: '▲ failed, nothing was saved',
  cancelled: 'cancelled, nothing was saved',
};

const SHOWN = 50;

const faultColumns: Column<Row['faults'][number]>[] = [
  { id: 'row', head: 'Row', text: (fault) => String(fault.row), cell: (fault) => fault.row },
  { id: 'column', head: 'Column', text: (fault) => fault.column, cell: (fault) => fault.column },
  { id: 'error', head: 'Error', text: (fault) => fault.reason, cell: (fault) => fault.reason },
];

/** One file: how far it is, what came of it, and what is wrong with which cell. */
export function ImportRow({ row, mayCancel }: { row: Row; mayCancel: boolean }) {
  const cancel = useAct(touches.import, () =>
    told(api.DELETE('/api/imports/{id}', { params: { path: { id: row.id } } })),
  );
  const underWay = ['waiting', 'checking', 'writing'].includes(row.state);
  const cells = row.faults.some((fault) => fault.row > 0);
  return (
    <li className="border-t border-rule px-3 py-2 first:border-t-0">
      <div className="flex flex-wrap items-baseline gap-x-4">
        <b className="font-semibold">{row.file}</b>
        <span className="text-soft">
          {row.subject}, {row.person}, {moment(row.asked_at)}
        </span>
        <span
          role="status"
          className={
            row.state === 'done' ? 'text-accent' : row.state === 'refused' || row.state === 'failed' ? 'text-alarm' : ''
          }
        >
          {states[row.state]}
          {underWay && row.rows > 0 && `, ${count(row.rows)} rows`}
          {row.outcome !== '' && `: ${row.outcome}`}
        </span>
        {mayCancel && (row.state === 'waiting' || row.state === 'checking') && (
          <Button look="quiet" className="!h-6" busy={cancel.isPending} onClick={() => cancel.mutate(undefined)}>
            Cancel
          </Button>
        )}
        {cells && (
          <a href={`/api/imports/${row.id}/marked`} download className="text-accent hover:underline">
            File with errors marked
          </a>
        )}
      </div>
      {cancel.error && <Notice look="alarm">{cancel.error.message}</Notice>}
      {row.faults.length > 0 &&
        (cells ? (
          <>
            <p className="mt-1 text-sm">
              {row.fault_count === 1 ? 'One cell is wrong.' : `${count(row.fault_count)} cells are wrong.`}
            </p>
            <div className="mt-1 max-w-4xl">
              <DataTable
                label={`Errors in ${row.file}`}
                exportName="import-errors"
                rows={row.faults.slice(0, SHOWN)}
                columns={faultColumns}
                keyOf={(fault) => `${fault.row} ${fault.column} ${fault.reason}`}
                empty=""
              />
            </div>
            {row.fault_count > SHOWN && (
              <p className="text-sm text-soft">The first {SHOWN} are here; the marked file has more.</p>
            )}
          </>
        ) : (
          <Notice look="alarm">{row.faults[0]?.reason}</Notice>
        ))}
    </li>
  );
}
