import type { ApiProblem } from '../../lib/api';
import { Notice } from '../../ui/Notice';

const SHOWN = 20;

/** Errors in a sheet that was read back, cell by cell. Nothing of it was saved. */
export function SheetProblem({ problem }: { problem: ApiProblem | null }) {
  if (problem === null) return null;
  const reasons = Object.values(problem.errors).flat();
  return (
    <Notice look="alarm">
      <p>{reasons.length > 0 ? 'The sheet was not read; nothing of it is saved.' : problem.message}</p>
      <ul>
        {reasons.slice(0, SHOWN).map((reason) => (
          <li key={reason}>{reason}</li>
        ))}
      </ul>
      {reasons.length > SHOWN && <p>And {reasons.length - SHOWN} more.</p>}
    </Notice>
  );
}
