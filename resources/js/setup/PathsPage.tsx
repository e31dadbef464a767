import { useQuery } from '@tanstack/react-query';
import type { Schemas } from '../lib/api';
import { queries } from '../lib/queries';
import { PathForm } from './PathForm';
import { judges } from './rolesOf';
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

/** The paths on which orders and requests are judged. An edit makes another version; what is under way stays on its own. */
export function PathsPage() {
  const paths = useQuery(queries.approvalPaths());
  return (
    <SetUpList<Path>
      title="Approval paths"
      about="Orders and requests are judged on a path that a rule or a person chooses, or by one person. An edit makes another version; what is under way stays on its own."
      label="Approval paths"
      empty="No path is set up yet: one person signs each order, and one decides on each request."
      query={paths}
      width="max-w-6xl"
      columns={[
        textColumn('judges', 'Judges', (row) => judges[row.judges]),
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
