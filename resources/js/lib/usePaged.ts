import { useInfiniteQuery, type infiniteQueryOptions, type InfiniteData } from '@tanstack/react-query';
import { useDeferredValue, useMemo } from 'react';

interface AnyPage {
  total: number;
  rows: unknown[];
}

type PagedOptions<Answer> = ReturnType<
  typeof infiniteQueryOptions<Answer, Error, InfiniteData<Answer>, readonly unknown[], number>
>;

/** A list that comes in pages: the rows so far, how many there are in all, and a way to the rest. */
export function usePaged<Answer extends AnyPage>(options: PagedOptions<Answer>) {
  type Row = Answer['rows'][number];
  const query = useInfiniteQuery(options);
  const pages = query.data?.pages;
  const rows = useMemo(() => pages?.flatMap((page): Row[] => page.rows), [pages]);
  // A page that arrives while one scrolls is drawn in when there is time for it; another list at once.
  const later = useDeferredValue(rows);
  const shown = rows !== undefined && later?.[0] === rows[0] ? later : rows;
  // Whether it is under way is not asked here: that would draw the list anew twice for each page.
  const { hasNextPage, fetchNextPage } = query;
  return {
    query: { data: shown, isError: query.isError, error: query.error, refetch: query.refetch },
    first: pages?.[0],
    total: pages?.[0]?.total ?? 0,
    paged: {
      more: () => {
        if (hasNextPage) void fetchNextPage({ cancelRefetch: false });
      },
      /** All of it, for whoever takes it along. */
      all: async (): Promise<Row[]> => {
        let all = pages ?? [];
        let next = hasNextPage;
        while (next) {
          const result = await fetchNextPage();
          if (result.isError) throw result.error;
          all = result.data?.pages ?? all;
          next = result.hasNextPage;
        }
        return all.flatMap((page): Row[] => page.rows);
      },
    },
  };
}
