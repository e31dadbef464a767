import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api, told, type ApiProblem, type Schemas } from '../../lib/api';
import { touches } from '../../lib/touches';
import type { Choices } from '../work/conflictColumns';
import { sheetForm } from '../work/sheetBody';

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
      const chosen = Object.entries(choices).map(([key, choice]) => [`choices[${key}]`, choice] as const);
      const form = sheetForm(file, { keep, ...Object.fromEntries(chosen) });
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
