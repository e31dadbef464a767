import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { useNavigate } from 'react-router';
import { api, told, type ApiProblem, type Schemas } from '../lib/api';
import { count } from '../lib/format';
import { touches } from '../lib/touches';
import { sheetForm } from '../orders/work/sheetBody';
import { sheetChangeColumns } from '../orders/worksheet/sheetChangeColumns';
import { SheetFaults } from '../orders/worksheet/SheetFaults';
import { Button } from '../ui/Button';
import { DataTable } from '../ui/DataTable';
import { ProblemNotice } from '../ui/Notice';
import { ItemNumber } from '../ui/Num';

type Raised = Schemas['RaisedFromSheet'];

/** An order as somebody filled it into a sheet: what it would be, or what is wrong in it; then it is created, all of it. */
export function OrderFromSheet({ file, onDone }: { file: File; onDone: () => void }) {
  const client = useQueryClient();
  const navigate = useNavigate();
  const sheet = useMutation<Raised, ApiProblem, 'yes' | 'no'>({
    mutationFn: (keep) =>
      told(
        api.POST('/api/order-sheet', {
          // The form is what goes; the body beside it only satisfies the description.
          body: { file: '', keep },
          bodySerializer: () => sheetForm(file, { keep }),
        }),
      ),
    onSuccess: async ({ number }) => {
      if (number === null) return;
      await Promise.all(touches.order.map((area) => client.invalidateQueries({ queryKey: [area] })));
      void navigate(`/changes/${number}`);
    },
  });
  useEffect(() => {
    sheet.mutate('no');
    // eslint-disable-next-line react-hooks/exhaustive-deps -- once for each file
  }, [file]);
  const would = sheet.data;
  return (
    <section aria-label="Order from a sheet" className="space-y-2 border-y border-strong bg-sheet px-3 py-2">
      <p className="flex flex-wrap items-baseline gap-x-4">
        <b className="font-semibold">{file.name}</b>
        {would === undefined && !sheet.isError && <span role="status">Reading</span>}
        {would && <span>{would.title}</span>}
        {would && (
          <span className="text-sm text-soft">
            {count(would.items.length)} {would.items.length === 1 ? 'item' : 'items'}, {count(would.changes.length)}{' '}
            {would.changes.length === 1 ? 'line changes' : 'lines change'}
          </span>
        )}
      </p>
      <ProblemNotice problem={sheet.error} />
      {would && would.faults.length > 0 && (
        <SheetFaults
          faults={would.faults}
          marked={would.marked === null ? null : `/api/order-sheet/marked/${would.marked}`}
        />
      )}
      {would?.faults.length === 0 && would.changes.length > 0 && (
        <DataTable
          label="What the order would change"
          exportName="order-from-sheet"
          rows={would.changes}
          columns={sheetChangeColumns}
          keyOf={(row) => `${row.item} ${row.work} ${row.find} ${row.component} ${row.mark}`}
          empty=""
        />
      )}
      {would?.faults.length === 0 && would.changes.length === 0 && (
        <ul aria-label="Items on the order" className="flex flex-wrap gap-x-4">
          {would.items.map((item) => (
            <li key={item}>
              <ItemNumber number={item} />
            </li>
          ))}
        </ul>
      )}
      <div className="flex items-center gap-2">
        {would?.faults.length === 0 && (
          <Button look="main" busy={sheet.isPending} onClick={() => sheet.mutate('yes')}>
            Create order
          </Button>
        )}
        <Button onClick={onDone}>Cancel</Button>
      </div>
    </section>
  );
}
