import { useQuery } from '@tanstack/react-query';
import { api, told, type Schemas } from '../lib/api';
import { queries } from '../lib/queries';
import { useMay } from '../lib/session';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { DataTable, type Column } from '../ui/DataTable';
import { Loading } from '../ui/Loading';
import { Notice } from '../ui/Notice';
import { Page } from '../ui/Page';
import { Select } from '../ui/Select';
import { useRecipients } from '../ui/useRecipients';

type Row = Schemas['ResponsibleRow'];

const fields = { plant: 'Planner of the plant', category: 'Owner of items' } as const;

/** Stands for nobody in a choice. */
const NOBODY = 'nobody';

/** Who owns the items of each category, and who plans each plant: whom approval paths mean by these roles. */
export function ResponsiblePage() {
  const rows = useQuery(queries.responsible());
  const may = useMay('set_up');
  const recipients = useRecipients();
  const columns: Column<Row>[] = [
    { id: 'field', head: 'Role', text: (row) => fields[row.field], cell: (row) => fields[row.field] },
    { id: 'name', head: 'Of', text: (row) => row.name, cell: (row) => row.name },
    { id: 'code', head: 'Code', text: (row) => row.code, cell: (row) => <span className="font-mono">{row.code}</span> },
    {
      id: 'who',
      head: 'Who',
      text: (row) => recipients[row.who] ?? row.who,
      cell: (row) => (may ? <Who row={row} options={recipients} /> : (recipients[row.who] ?? row.who)),
    },
  ];
  return (
    <Page title="Responsible" over="Set-up">
      <div className="max-w-4xl space-y-4">
        <p className="text-soft">
          Approval paths may ask the owners of the items and the planners of the plants that a change touches. A choice
          holds from now on, also for what is under way.
        </p>
        <Loading query={rows}>
          {(all) => (
            <DataTable
              label="Responsible"
              exportName="responsible"
              rows={all}
              columns={columns}
              keyOf={(row) => `${row.field} ${row.code}`}
              empty="No plant and no category is set up yet."
            />
          )}
        </Loading>
      </div>
    </Page>
  );
}

function Who({ row, options }: { row: Row; options: Record<string, string> }) {
  const set = useAct(touches.responsible, (who: string) =>
    told(
      api.PUT('/api/responsible/{field}/{code}', {
        params: { path: { field: row.field, code: row.code } },
        body: { who },
      }),
    ),
  );
  return (
    <span className="block w-72">
      <Select
        aria-label={`${fields[row.field]}, ${row.name}`}
        value={row.who === '' ? NOBODY : row.who}
        onChange={(who) => set.mutate(who === NOBODY ? '' : who)}
        options={{
          [NOBODY]: 'Nobody',
          ...options,
          ...(row.who in options || row.who === '' ? {} : { [row.who]: row.who }),
        }}
      />
      {set.error && <Notice look="alarm">{set.error.message}</Notice>}
    </span>
  );
}
