import type { Schemas } from '../lib/api';

/** To where a change can be sent back on its path, by stage: the stages by the names of their steps. */
export function backTo(path: Schemas['PathPicture'], first: string): Record<string, string> {
  const stepsOf = (stage: number) =>
    path.steps
      .filter((step) => step.stage === stage)
      .map(({ name }) => name)
      .join(', ');
  return { '0': first, ...Object.fromEntries(path.back_to.map((stage) => [String(stage), stepsOf(stage)])) };
}
