import { ApiProblem } from '../lib/api';

/** One edit is refused at its fields; of several each is named by its place. */
export async function alone<T>(answer: Promise<T>): Promise<T> {
  try {
    return await answer;
  } catch (problem) {
    if (!(problem instanceof ApiProblem)) throw problem;
    const errors = Object.fromEntries(
      Object.entries(problem.errors).map(([place, reasons]) => [place.replace('edits.0.', ''), reasons]),
    );
    throw new ApiProblem(problem.status, problem.message, errors, problem.theirs);
  }
}
