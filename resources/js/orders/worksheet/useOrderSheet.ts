import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api, told, type ApiProblem, type Schemas } from '../../lib/api';
import { touches } from '../../lib/touches';
import type { Choices } from '../work/conflictColumns';

export type Outcome = Schemas['SheetOutcome'];

interface Sent {
  file: File;
  choices: Choices;
  /** No: only to say what it would do. */
  keep: 'yes' | 'no';
}

/** Brings a sheet of an order back: looked at first, then done. */
export function useOrderSheet(number: string) {
  const client = useQueryClient();
  return useMutation<Outcome, ApiProblem, Sent>({
    scope: { id: `worksheet ${number}` },
    mutationFn: ({ file, choices, keep }) => {
      const form = new FormData();
      form.append('file', file);
      form.append('keep', keep);
      for (const [key, choice] of Object.entries(choices)) form.append(`choices[${key}]`, choice);
      return told(
        api.POST('/api/orders/{number}/sheet', {
          params: { path: { number } },
          // The form is what goes; the body beside it only satisfies the description.
          body: { file: '', keep },
          bodySerializer: () => form,
        }),
      );
    },
    onSuccess: async (outcome) => {
      if (outcome.done) await Promise.all(touches.order.map((area) => client.invalidateQueries({ queryKey: [area] })));
    },
  });
}
