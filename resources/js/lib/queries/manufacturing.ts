import { infiniteQueryOptions, queryOptions } from '@tanstack/react-query';
import { api, told } from '../api';

/** What plants build of items. */
export const manufacturing = {
  accountability: (number: string, query: { on?: string; plant?: string; order?: string; sibling?: string }) =>
    queryOptions({
      queryKey: ['items', 'accountability', number, query],
      queryFn: () => told(api.GET('/api/items/{number}/accountability', { params: { path: { number }, query } })),
      placeholderData: (before) => before,
    }),
  /** Some lines at a time; under an order all of them. */
  accountabilityPages: (
    number: string,
    query: { on?: string; plant?: string; order?: string; sibling?: string; lines?: 'open' },
  ) =>
    infiniteQueryOptions({
      queryKey: ['items', 'accountability', number, query, 'pages'],
      queryFn: ({ pageParam }) =>
        told(
          api.GET('/api/items/{number}/accountability', {
            params: { path: { number }, query: { ...query, ...(pageParam > 0 && { from: String(pageParam) }) } },
          }),
        ),
      initialPageParam: 0,
      getNextPageParam: (last) => {
        const next = last.from + last.lines.length;
        return next < last.total && last.lines.length > 0 ? next : undefined;
      },
      placeholderData: (before) => before,
      structuralSharing: false,
    }),
  routing: (number: string, query: { on?: string; plant?: string }) =>
    queryOptions({
      queryKey: ['items', 'routing', number, query],
      queryFn: () => told(api.GET('/api/items/{number}/routing', { params: { path: { number }, query } })),
      placeholderData: (before) => before,
    }),
  routingComparison: (query: Record<string, string>) =>
    queryOptions({
      queryKey: ['items', 'routing comparison', query],
      queryFn: () => told(api.GET('/api/routing-comparison', { params: { query } })),
      placeholderData: (before) => before,
    }),
  builtCost: (number: string, query: { on?: string; plant?: string }) =>
    queryOptions({
      queryKey: ['items', 'built cost', number, query],
      queryFn: () => told(api.GET('/api/items/{number}/built-cost', { params: { path: { number }, query } })),
      placeholderData: (before) => before,
    }),
  operationsOfItem: (number: string, on: string) =>
    queryOptions({
      queryKey: ['items', 'operations', number, on],
      queryFn: () => told(api.GET('/api/items/{number}/operations', { params: { path: { number }, query: { on } } })),
      placeholderData: (before) => before,
    }),
  operationsOfWorkCentre: (code: string, centre: string, on: string) =>
    queryOptions({
      queryKey: ['items', 'work centre', code, centre, on],
      queryFn: () =>
        told(
          api.GET('/api/plants/{code}/work-centres/{centre}/operations', {
            params: { path: { code, centre }, query: { on } },
          }),
        ),
      placeholderData: (before) => before,
    }),
  orderAccountability: (order: string) =>
    queryOptions({
      queryKey: ['orders', order, 'accountability'],
      queryFn: () => told(api.GET('/api/orders/{number}/accountability', { params: { path: { number: order } } })),
      placeholderData: (before) => before,
    }),
  builtRedline: (order: string, item: string, plant: string) =>
    queryOptions({
      queryKey: ['orders', order, 'redline', item, plant],
      queryFn: () =>
        told(
          api.GET('/api/orders/{number}/items/{item}/plants/{plant}/redline', {
            params: { path: { number: order, item, plant } },
          }),
        ),
    }),
};
