import { useMutation, useQueryClient } from '@tanstack/react-query';
import type { ApiProblem } from './api';

/**
 * Something a person does. When it is done, everything on screen about changes and items is read anew. Acts of one scope
 * run one after another, each after the reading of the one before.
 */
export function useAct<In, Out>(doIt: (input: In) => Promise<Out>, then?: (result: Out) => void, scope?: string) {
  const client = useQueryClient();
  return useMutation<Out, ApiProblem, In>({
    mutationFn: doIt,
    ...(scope === undefined ? {} : { scope: { id: scope } }),
    onSuccess: async (result) => {
      then?.(result);
      await Promise.all([
        client.invalidateQueries({ queryKey: ['changes'] }),
        client.invalidateQueries({ queryKey: ['items'] }),
      ]);
    },
    onError: async (problem) => {
      // Somebody else was quicker: show what there is now beside what was typed.
      if (problem.status === 409) await client.invalidateQueries({ queryKey: ['changes'] });
    },
  });
}
