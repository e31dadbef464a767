import { useQuery } from '@tanstack/react-query';
import type { Schemas } from '../lib/api';
import { queries } from '../lib/queries';
import { PathForm } from './PathForm';
import { SetUpList, statusColumn, textColumn } from './SetUpList';

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
  return (
    <SetUpList<Path>
      title="Approval paths"
      about="An order goes on a path that a rule chooses or that it is planned with, or one person signs. An edit makes another version; orders stay on the version that they were planned with."
      label="Approval paths"
      empty="No path is set up yet: one signer signs each order."
      query={paths}
      width="max-w-6xl"
      columns={[
        textColumn('steps', 'Steps', inWords),
        textColumn('chosen', 'Chosen', (row) => (row.chosen_when === null ? 'by hand' : `by rule, rank ${row.rank}`)),
        { ...textColumn<Path>('version', 'Version', (row) => String(row.version)), numeric: true },
        statusColumn(),
      ]}
      form={(row, onDone) => (
        <PathForm
          key={row === null ? String(paths.data?.length) : `${row.code} ${row.version}`}
          path={row}
          onDone={onDone}
        />
      )}
    />
  );
}
