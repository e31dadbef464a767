import { useQueryClient } from '@tanstack/react-query';
import { api, told, type Schemas } from '../../lib/api';
import { queries } from '../../lib/queries';
import { touches } from '../../lib/touches';
import { useAct } from '../../lib/useAct';

export type DataRedline = Schemas['DataRedline'];

/** What can be done under an order to what is known of an item. Each act is saved at once; undo takes it back. */
export function useItemData(redline: DataRedline) {
  const client = useQueryClient();
  const path = { number: redline.order, item: redline.item.number };
  const key = queries.dataRedline(path.number, path.item).queryKey;
  return {
    set: useAct(
      touches.order,
      (fields: Record<string, string>) =>
        told(
          api.POST('/api/orders/{number}/items/{item}/data', {
            params: { path },
            body: { fields, seen: client.getQueryData(key)?.seen ?? redline.seen },
          }),
        ),
      undefined,
      `data ${redline.order}`,
    ),
  };
}
