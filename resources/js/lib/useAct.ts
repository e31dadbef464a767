import { useMutation, useQueryClient } from '@tanstack/react-query';
import type { ApiProblem } from './api';
import type { Area } from './touches';

/**
 * Something a person does. When it is done, what is on screen of the areas it touches is read anew; of what is not on screen it is
 * noted that it is old. Acts of one scope run one after another, each after the reading of the one before.
 */
export function useAct<In, Out>(
  touched: Area[],
  doIt: (input: In) => Promise<Out>,
  then?: (result: Out) => void,
  scope?: string,
) {
  const client = useQueryClient();
  const readAnew = () => Promise.all(touched.map((area) => client.invalidateQueries({ queryKey: [area] })));
  return useMutation<Out, ApiProblem, In>({
    mutationFn: doIt,
    ...(scope === undefined ? {} : { scope: { id: scope } }),
    onSuccess: async (result) => {
      then?.(result);
      await readAnew();
    },
    onError: async (problem) => {
      // Somebody else was quicker: show what there is now beside what was typed.
      if (problem.status === 409) await readAnew();
    },
  });
}
