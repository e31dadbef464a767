import { useQueryClient } from '@tanstack/react-query';
import { api, told } from '../../lib/api';
import { queries } from '../../lib/queries';
import { touches } from '../../lib/touches';
import { useAct } from '../../lib/useAct';
import type { BuiltRedline } from './useBuilt';

/** Gathers lines of what a plant builds into a kit. */
export function useKit(redline: BuiltRedline) {
  const client = useQueryClient();
  const path = { number: redline.order, item: redline.item.number, plant: redline.plant };
  const key = queries.builtRedline(path.number, path.item, path.plant).queryKey;
  return useAct(
    touches.order,
    ({ kit, lines }: { kit: string; lines: string[] }) =>
      told(
        api.POST('/api/orders/{number}/items/{item}/plants/{plant}/kits', {
          params: { path },
          body: { kit, lines, seen: client.getQueryData(key)?.seen ?? redline.seen },
        }),
      ),
    undefined,
    `built ${redline.order}`,
  );
}
