import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { Schemas } from '../lib/api';
import { queries } from '../lib/queries';
import { useMay } from '../lib/session';
import { DataTable } from '../ui/DataTable';
import { Loading } from '../ui/Loading';
import { Page } from '../ui/Page';
import { changeColumn } from '../ui/table/changeColumn';
import { PathForm } from './PathForm';

type Path = Schemas['ApprovalPathRow'];

/** The steps of each stage beside one another, stages one after another: "Review + Quality → Approval". */
const inWords = ({ steps }: Path) =>
  [...new Set(steps.map(({ stage }) => stage))]
    .sort((a, b) => a - b)
    .map((stage) =>
      steps
        .filter((step) => step.stage === stage)
        .map(({ name }) => name)
        .join(' + '),
    )
    .join(' → ');

/** The paths on which orders are judged. An edit makes another version; orders that are under way stay on theirs. */
export function PathsPage() {
  const paths = useQuery(queries.approvalPaths());
  const maySet = useMay('set_up');
  const [open, setOpen] = useState<string | null>(null);
  return (
    <Page title="Approval paths" over="Set-up">
      <Loading query={paths}>
        {(rows) => {
          const opened = rows.find(({ code }) => code === open);
          const status = (row: Path) => (row.retired ? 'retired' : 'active');
          return (
            <div className="max-w-6xl space-y-4">
              <p className="text-soft">
                An order is planned with a path, or with one signer. An edit makes another version; orders stay on the
                version that they were planned with.
              </p>
              <DataTable
                label="Approval paths"
                rows={rows}
                keyOf={(row) => row.code}
                empty="No path is set up yet: one signer signs each order."
                columns={[
                  {
                    id: 'code',
                    head: 'Code',
                    text: (row) => row.code,
                    cell: (row) => <span className="font-mono text-[0.84rem]">{row.code}</span>,
                  },
                  { id: 'name', head: 'Name', text: (row) => row.name, cell: (row) => row.name },
                  { id: 'steps', head: 'Steps', text: inWords, cell: inWords },
                  {
                    id: 'version',
                    head: 'Version',
                    numeric: true,
                    text: (row) => String(row.version),
                    cell: (row) => row.version,
                  },
                  { id: 'status', head: 'Status', text: status, cell: status },
                  ...(maySet ? [changeColumn<Path>(open, setOpen)] : []),
                ]}
              />
              {opened && (
                <PathForm key={`${opened.code} ${opened.version}`} path={opened} onDone={() => setOpen(null)} />
              )}
              {maySet && !opened && <PathForm key={rows.length} path={null} onDone={() => setOpen(null)} />}
            </div>
          );
        }}
      </Loading>
    </Page>
  );
}
