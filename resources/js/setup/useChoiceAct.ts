import { useQueryClient } from '@tanstack/react-query';
import type { Schemas } from '../lib/api';
import { queries } from '../lib/queries';
import { useAct } from '../lib/useAct';

/** An act on sites, reasons or sources: every page knows of it at once, as they come with the session. */
export function useChoiceAct<In>(doIt: (input: In) => Promise<Schemas['ChoiceRow'][]>, then: () => void) {
  const client = useQueryClient();
  return useAct(['choices'], doIt, (rows) => {
    client.setQueryData(queries.choices().queryKey, rows);
    then();
  });
}
