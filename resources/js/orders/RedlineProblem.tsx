import type { ApiProblem } from '../lib/api';
import { Notice } from '../ui/Notice';
import { placeInBlock } from './pasteBlock';
import { plantFields as fields, heads } from './redlineFields';

/** Why an edit was not saved, right below its line; when somebody else was quicker, what they made of it. */
export function RedlineProblem({ problem }: { problem: ApiProblem }) {
  const theirs = fields.filter((field) => problem.theirs[field] !== undefined);
  return (
    <Notice look="alarm">
      {Object.keys(problem.errors).length > 0
        ? Object.entries(problem.errors).map(([place, reasons]) => (
            <p key={place}>
              {placeInBlock(place)}
              {reasons.join(' ')}
            </p>
          ))
        : problem.message}
      {problem.theirs.line === 'removed' && <p>The line was removed.</p>}
      {theirs.length > 0 && (
        <p>Now it reads: {theirs.map((field) => `${heads[field]} ${problem.theirs[field] || '–'}`).join(', ')}.</p>
      )}
    </Notice>
  );
}
