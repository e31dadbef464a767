import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api, told, type ApiProblem, type Schemas } from '../lib/api';
import { queries } from '../lib/queries';
import { sheetBody } from './work/sheetBody';

export type Redline = Schemas['Redline'];
export type Done = Schemas['Done'];

/** A line before and after, as far as a grid shows it. */
export type RedlineRow = Omit<Schemas['RedlineRow'], 'was_item' | 'item'> & {
  was_item: Titled | null;
  item: Titled | null;
};

interface Titled {
  title: string;
}

export type LineEdit = Omit<Schemas['LineEdit'], 'seen'> & {
  /** Of a new line in a grid of many structures: the key of a row that stands in the same one. */
  beside?: string | undefined;
};

/** As the server of one structure takes it. */
const sent = ({ operation, line, fields }: LineEdit) => ({ operation, line, fields });

/** What can be done to the structure of an item under an order. Each act is saved at once; undo takes it back. */
export function useRedline(redline: Redline) {
  const client = useQueryClient();
  const path = { number: redline.order, item: redline.item.number };
  const key = queries.redline(redline.order, redline.item.number).queryKey;
  const refresh = async () => {
    await Promise.all([
      client.invalidateQueries({ queryKey: key }),
      client.invalidateQueries({ queryKey: queries.consequences(redline.order).queryKey }),
      client.invalidateQueries({ queryKey: queries.dossier(redline.order).queryKey, refetchType: 'none' }),
    ]);
  };
  const onError = async (problem: ApiProblem) => {
    if (problem.status === 409 || problem.at('order') !== undefined) await client.invalidateQueries({ queryKey: key });
  };

  // One after another: each edit is recorded against what the one before it left.
  const scope = { id: `redline ${redline.order}` };
  const edit = useMutation<Done, ApiProblem, LineEdit>({
    scope,
    mutationFn: (body) => {
      const seen = client.getQueryData(key)?.seen ?? redline.seen;
      return told(
        api.POST('/api/orders/{number}/items/{item}/edits', { params: { path }, body: { ...sent(body), seen } }),
      );
    },
    onSuccess: refresh,
    onError,
  });
  const several = useMutation<Done, ApiProblem, LineEdit[]>({
    scope,
    mutationFn: (edits) => {
      const seen = client.getQueryData(key)?.seen ?? redline.seen;
      return told(
        api.POST('/api/orders/{number}/items/{item}/edits-together', {
          params: { path },
          body: { edits: edits.map(sent), seen },
        }),
      );
    },
    onSuccess: refresh,
    onError,
  });
  const sheet = useMutation<Done, ApiProblem, File>({
    scope,
    mutationFn: (file) =>
      told(
        api.POST('/api/orders/{number}/items/{item}/sheet', {
          params: { path },
          ...sheetBody(file, client.getQueryData(key)?.seen ?? redline.seen),
        }),
      ),
    onSuccess: refresh,
    onError,
  });
  return { edit, several, sheet };
}
