import { useQueryClient } from '@tanstack/react-query';
import { api, told } from '../../lib/api';
import { queries } from '../../lib/queries';
import { touches } from '../../lib/touches';
import { useAct } from '../../lib/useAct';
import type { BuiltRedline } from './useBuilt';

interface Into {
  /** Keys of engineering lines. */
  lines: string[];
  /** Its number; empty: at none. */
  operation: string;
  /** So much of a line, by its key; the others whole. */
  parts: Record<string, string>;
}

/** Takes engineering lines over at an operation, whole or in part; one act, that is taken back as one. */
export function useTakeInto(redline: BuiltRedline) {
  const client = useQueryClient();
  const path = { number: redline.order, item: redline.item.number, plant: redline.plant };
  const key = queries.builtRedline(path.number, path.item, path.plant).queryKey;
  return useAct(
    touches.order,
    ({ lines, operation, parts }: Into) =>
      told(
        api.POST('/api/orders/{number}/items/{item}/plants/{plant}/taken-over', {
          params: { path },
          body: {
            lines,
            operation,
            parts: Object.fromEntries(Object.entries(parts).filter(([line]) => lines.includes(line))),
            seen: client.getQueryData(key)?.seen ?? redline.seen,
          },
        }),
      ),
    undefined,
    `built ${redline.order}`,
  );
}
