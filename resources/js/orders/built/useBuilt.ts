import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api, told, type ApiProblem, type Schemas } from '../../lib/api';
import { queries } from '../../lib/queries';
import { touches } from '../../lib/touches';
import { alone } from '../alone';
import type { Done, LineEdit } from '../useRedline';
import { sheetBody } from '../work/sheetBody';

export type BuiltRedline = Schemas['BuiltRedline'];
export type OperationRow = Schemas['OperationRow'];
export type Operation = Schemas['OperationData'];
export type BuiltEdit = Schemas['BuiltEdits']['edits'][number];

const ofLine = ({ operation, line, fields }: LineEdit): BuiltEdit => ({ edit: operation, part: line, fields });

/** What can be done under an order to what a plant builds. Each act is saved at once; undo takes it back. */
export function useBuilt(redline: BuiltRedline) {
  const client = useQueryClient();
  const path = { number: redline.order, item: redline.item.number, plant: redline.plant };
  const key = queries.builtRedline(path.number, path.item, path.plant).queryKey;
  // One after another: each edit is recorded against what the one before it left.
  const scope = { id: `built ${redline.order}` };
  const readAnew = () => Promise.all(touches.order.map((area) => client.invalidateQueries({ queryKey: [area] })));
  const send = (edits: BuiltEdit[]) =>
    told(
      api.POST('/api/orders/{number}/items/{item}/plants/{plant}/edits', {
        params: { path },
        body: { edits, seen: client.getQueryData(key)?.seen ?? redline.seen },
      }),
    );
  const onError = async (problem: ApiProblem) => {
    if (problem.status === 409 || problem.at('order') !== undefined) await readAnew();
  };
  const act = { scope, onSuccess: readAnew, onError };

  return {
    edit: useMutation<Done, ApiProblem, LineEdit>({ ...act, mutationFn: (edit) => alone(send([ofLine(edit)])) }),
    several: useMutation<Done, ApiProblem, LineEdit[]>({ ...act, mutationFn: (edits) => send(edits.map(ofLine)) }),
    route: useMutation<Done, ApiProblem, BuiltEdit>({ ...act, mutationFn: (edit) => alone(send([edit])) }),
    sheet: useMutation<Done, ApiProblem, File>({
      ...act,
      mutationFn: (file) =>
        told(
          api.POST('/api/orders/{number}/items/{item}/plants/{plant}/sheet', {
            params: { path },
            ...sheetBody(file, client.getQueryData(key)?.seen ?? redline.seen),
          }),
        ),
    }),
  };
}
