import { infiniteQueryOptions } from '@tanstack/react-query';

interface PageOf<Row> {
  total: number;
  from: number;
  /** Where the next page begins, if it is not a count of rows; null: there is none. */
  next?: number | null;
  rows: Row[];
}

/** A list that the server gives in pages; the next one is asked for when somebody comes near its rows. */
export function paged<Row, Answer extends PageOf<Row>>(
  queryKey: readonly unknown[],
  page: (from: number) => Promise<Answer>,
) {
  return infiniteQueryOptions({
    queryKey,
    queryFn: ({ pageParam }) => page(pageParam),
    initialPageParam: 0,
    getNextPageParam: (last) => {
      if (last.next !== undefined) return last.next;
      const next = last.from + last.rows.length;
      return next < last.total && last.rows.length > 0 ? next : undefined;
    },
    placeholderData: (before) => before,
    // Pages that are here stay as they are: comparing all of them with themselves at each new one takes a frame.
    structuralSharing: false,
  });
}
