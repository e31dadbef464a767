import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api, told, type ApiProblem, type Schemas } from '../../lib/api';
import { touches } from '../../lib/touches';
import { sheetForm } from '../work/sheetBody';

export type Outcome = Schemas['ModelOutcome'];

interface Sent {
  file: File;
  /** Keys of rows; null: the model is only looked at. */
  chosen: string[] | null;
  /** Codes, by what the model calls something new. */
  categories: Record<string, string>;
}

/** Brings a design model under an order: looked at first, then taken over as far as it was chosen. */
export function useModel(number: string) {
  const client = useQueryClient();
  return useMutation<Outcome, ApiProblem, Sent>({
    scope: { id: `model ${number}` },
    mutationFn: ({ file, chosen, categories }) => {
      const form = sheetForm(file, {
        keep: chosen === null ? 'no' : 'yes',
        chosen: JSON.stringify(chosen ?? []),
        categories: JSON.stringify(categories),
      });
      return told(
        api.POST('/api/orders/{number}/model', {
          params: { path: { number } },
          // The form is what goes; the body beside it only satisfies the description.
          body: { file: '', keep: 'no' },
          bodySerializer: () => form,
        }),
      );
    },
    onSuccess: async (outcome) => {
      if (outcome.done) await Promise.all(touches.order.map((area) => client.invalidateQueries({ queryKey: [area] })));
    },
  });
}
