import { api, told } from '../lib/api';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';

/** Takes back all that one act wrote into an order's lines; `done` runs once it is taken back. */
export const useStrokeUndo = (order: string, done: () => void) =>
  useAct(
    touches.order,
    (stroke: string) =>
      told(api.POST('/api/orders/{number}/strokes/{stroke}/undo', { params: { path: { number: order, stroke } } })),
    done,
  );
