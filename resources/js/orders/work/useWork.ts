import { api, told, type Schemas } from '../../lib/api';
import { touches } from '../../lib/touches';
import { useAct } from '../../lib/useAct';
import type { Choices } from './conflictColumns';

/** The work of an order on one subject of an item. */
export interface Work {
  order: string;
  item: string;
  /** "engineering", "manufacturing:Weir", "item_data". */
  work: string;
  /** Its acts run one after another. */
  scope: string;
}
export type NewerPage = Schemas['NewerPage'];

/** What can be done to the work on any subject. */
export function useWork({ order, item, work, scope }: Work) {
  const path = { number: order, item, work };
  return {
    turn: useAct(
      touches.order,
      (which: 'undo' | 'redo') =>
        told(
          which === 'undo'
            ? api.POST('/api/orders/{number}/items/{item}/works/{work}/undo', { params: { path } })
            : api.POST('/api/orders/{number}/items/{item}/works/{work}/redo', { params: { path } }),
        ),
      undefined,
      scope,
    ),
    keep: useAct(
      touches.order,
      (note: string) =>
        told(
          api.POST('/api/orders/{number}/items/{item}/works/{work}/iterations', { params: { path }, body: { note } }),
        ),
      undefined,
      scope,
    ),
    goBack: useAct(
      touches.order,
      ({ iteration, seen }: { iteration: number; seen: number }) =>
        told(
          api.POST('/api/orders/{number}/items/{item}/works/{work}/iterations/{iteration}/return', {
            params: { path: { ...path, iteration: String(iteration) } },
            body: { seen },
          }),
        ),
      undefined,
      scope,
    ),
    merge: useAct(
      touches.order,
      (choices: Choices) =>
        told(
          api.POST('/api/orders/{number}/items/{item}/works/{work}/newer', {
            params: { path },
            body: { choices: Object.entries(choices).map(([conflict, choice]) => ({ conflict, choice })) },
          }),
        ),
      undefined,
      scope,
    ),
    /** What others have released meanwhile, beside what was done. */
    look: useAct([], () => told(api.GET('/api/orders/{number}/items/{item}/works/{work}/newer', { params: { path } }))),
  };
}
