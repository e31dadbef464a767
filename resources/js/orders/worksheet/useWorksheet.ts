import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api, told, type ApiProblem } from '../../lib/api';
import { queries } from '../../lib/queries';
import { touches } from '../../lib/touches';
import { alone } from '../alone';
import type { Done, LineEdit } from '../useRedline';
import { subjectsOf } from './massEdits';
import { placeOf, type Worksheet } from './sheetRows';

/** What can be done in the worksheet. Each act is saved at once, over however many structures; undo takes it back as one. */
export function useWorksheet(page: Worksheet) {
  const client = useQueryClient();
  const number = page.order;
  const key = queries.worksheet(number).queryKey;
  // One after another: each edit is recorded against what the one before it left.
  const scope = { id: `worksheet ${number}` };
  const readAnew = () => Promise.all(touches.order.map((area) => client.invalidateQueries({ queryKey: [area] })));
  const onError = async (problem: ApiProblem) => {
    if (problem.status === 409 || problem.at('order') !== undefined) await readAnew();
  };
  const send = (edits: LineEdit[]): Promise<Done> => {
    const now = client.getQueryData(key) ?? page;
    const of = (place: number) => {
      const subject = page.subjects[place];
      const seen = now.subjects.find((one) => one.item === subject?.item && one.work === subject.work)?.seen;
      return { item: subject?.item ?? '', work: subject?.work ?? '', seen: seen ?? subject?.seen ?? 0 };
    };
    return told(
      api.POST('/api/orders/{number}/worksheet', {
        params: { path: { number } },
        body: {
          edits: edits.map(({ operation, line, fields, beside }) => {
            const place = placeOf(operation === 'add' ? (beside ?? '') : line);
            const { item, work } = of(place.subject);
            return { item, work, operation, line: operation === 'add' ? '' : place.line, fields };
          }),
          seen: subjectsOf(edits).map(of),
        },
      }),
    );
  };
  const act = { scope, onSuccess: readAnew, onError };
  return {
    edit: useMutation<Done, ApiProblem, LineEdit>({ ...act, mutationFn: (edit) => alone(send([edit])) }),
    several: useMutation<Done, ApiProblem, LineEdit[]>({ ...act, mutationFn: send }),
    turn: useMutation<Done, ApiProblem, 'undo' | 'redo'>({
      ...act,
      mutationFn: (which) =>
        told(
          which === 'undo'
            ? api.POST('/api/orders/{number}/undo', { params: { path: { number } } })
            : api.POST('/api/orders/{number}/redo', { params: { path: { number } } }),
        ),
    }),
  };
}
