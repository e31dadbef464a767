import { api, told } from '../lib/api';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';

export interface At {
  order: string;
  item: string;
  plant: string;
  /** The number of the newest edit on screen. */
  seen: number;
  /** The item by whose example lines are taken over; null: by none. */
  sibling: string | null;
}

/** What the editor of an order does to what a plant builds of an item. */
export function useTakeOver({ order, item, plant, seen, sibling }: At) {
  const params = { path: { number: order, item, plant } };
  return {
    takeOver: useAct(touches.order, (lines: string[]) =>
      told(
        api.POST('/api/orders/{number}/items/{item}/plants/{plant}/taken-over', {
          params,
          body: { lines, seen, sibling },
        }),
      ),
    ),
    undo: useAct(touches.order, () =>
      told(
        api.POST('/api/orders/{number}/items/{item}/works/{work}/undo', {
          params: { path: { number: order, item, work: `manufacturing:${plant}` } },
        }),
      ),
    ),
    record: useAct(
      touches.order,
      (record: { line: string; reason?: string; by?: string; new?: string; unit?: string; old?: string }) =>
        told(
          api.POST('/api/orders/{number}/items/{item}/plants/{plant}/records', { params, body: { ...record, seen } }),
        ),
    ),
  };
}
