import { useInfiniteQuery, useMutation, useQueryClient, type InfiniteData } from '@tanstack/react-query';
import { useEffect, useMemo } from 'react';
import { api, told, type ApiProblem, type Schemas } from '../../lib/api';
import { queries } from '../../lib/queries';
import { touches } from '../../lib/touches';
import { alone } from '../alone';
import type { Done, LineEdit } from '../useRedline';
import { subjectsOf } from './massEdits';
import { placeOf, renewed, together, type Part, type Worksheet } from './sheetRows';

/** More items than this are read anew with all the others. */
const FEW = 200;

/** The lines of an order as far as they are here; the rest is read while one works with these. */
export function useLines(order: string) {
  const query = useInfiniteQuery(queries.worksheet(order));
  const { data, hasNextPage, isFetching, isError, fetchNextPage } = query;
  useEffect(() => {
    if (hasNextPage && !isFetching && !isError) void fetchNextPage();
  }, [hasNextPage, isFetching, isError, fetchNextPage]);
  const page = useMemo(() => {
    const [first, ...others] = data?.pages ?? [];
    return first === undefined ? undefined : together([first, ...others]);
  }, [data]);
  return { query, page };
}

/** What can be done in the worksheet. Each act is saved at once, over however many structures; undo takes it back as one. */
export function useWorksheet(page: Worksheet) {
  const client = useQueryClient();
  const number = page.order;
  const key = queries.worksheet(number).queryKey;
  // One after another: each edit is recorded against what the one before it left.
  const scope = { id: `worksheet ${number}` };
  const readAnew = () => Promise.all(touches.order.map((area) => client.invalidateQueries({ queryKey: [area] })));

  /** Of thousands of lines only those are read anew that somebody touched; all else that shows them is. */
  const renew = async (items: string[]) => {
    const now =
      items.length === 0 || items.length > FEW
        ? undefined
        : await told(
            api.GET('/api/orders/{number}/worksheet', {
              params: { path: { number }, query: { items: items.join(',') } },
            }),
          ).catch(() => undefined);
    const before = client.getQueryData<InfiniteData<Part, number>>(key);
    const pages = now && before && renewed(before.pages, items, now);
    if (!pages) return readAnew();
    await client.cancelQueries({ queryKey: key });
    client.setQueryData<InfiniteData<Part, number>>(key, { pages, pageParams: before.pageParams });
    const others = { predicate: ({ queryKey }: { queryKey: readonly unknown[] }) => queryKey[2] !== 'worksheet' };
    return Promise.all(touches.order.map((area) => client.invalidateQueries({ queryKey: [area], ...others })));
  };
  const onError = async (problem: ApiProblem) => {
    if (problem.status === 409 || problem.at('order') !== undefined) await readAnew();
  };
  const subject = (place: number) => page.subjects[place] ?? { item: '', work: '', seen: 0 };
  const send = (edits: LineEdit[]): Promise<Done> => {
    const now = client.getQueryData<InfiniteData<Part, number>>(key)?.pages.flatMap((part) => part.subjects) ?? [];
    const of = (place: number) => {
      const { item, work, seen } = subject(place);
      return { item, work, seen: now.find((one) => one.item === item && one.work === work)?.seen ?? seen };
    };
    return told(
      api.POST('/api/orders/{number}/worksheet', {
        params: { path: { number } },
        body: {
          edits: edits.map(({ operation, line, fields, beside }) => {
            const place = placeOf(operation === 'add' ? (beside ?? '') : line);
            const { item, work } = subject(place.subject);
            return { item, work, operation, line: operation === 'add' ? '' : place.line, fields };
          }),
          seen: subjectsOf(edits).map(of),
        },
      }),
    );
  };
  const itemsOf = (edits: LineEdit[]) => [...new Set(subjectsOf(edits).map((place) => subject(place).item))];
  return {
    edit: useMutation<Done, ApiProblem, LineEdit>({
      scope,
      onError,
      mutationFn: (edit) => alone(send([edit])),
      onSuccess: (_, edit) => renew(itemsOf([edit])),
    }),
    several: useMutation<Done, ApiProblem, LineEdit[]>({
      scope,
      onError,
      mutationFn: send,
      onSuccess: (_, edits) => renew(itemsOf(edits)),
    }),
    turn: useMutation<Schemas['Turned'], ApiProblem, 'undo' | 'redo'>({
      scope,
      onError,
      mutationFn: (which) =>
        told(
          which === 'undo'
            ? api.POST('/api/orders/{number}/undo', { params: { path: { number } } })
            : api.POST('/api/orders/{number}/redo', { params: { path: { number } } }),
        ),
      onSuccess: ({ items }) => renew(items),
    }),
  };
}
