import { infiniteQueryOptions, queryOptions } from '@tanstack/react-query';
import { api, told, type Schemas } from '../api';

/**
 * After how many milliseconds a dossier that is open is looked at again: a hand-over on its way is answered within seconds when planning is
 * there, and a released order is closed by a worker as soon as nothing is left to do.
 */
function comesBack(dossier: Schemas['Dossier'] | undefined): number | false {
  if (dossier?.handovers.some((one) => one.sending)) return 1500;
  return dossier?.order?.state === 'released' ? 5000 : false;
}

/** A change as a whole, and what an order changes. */
export const orders = {
  dossier: (number: string) =>
    queryOptions({
      queryKey: ['dossiers', number],
      queryFn: () => told(api.GET('/api/dossiers/{number}', { params: { path: { number } } })),
      refetchInterval: ({ state }) => comesBack(state.data),
    }),
  redline: (order: string, item: string) =>
    queryOptions({
      queryKey: ['orders', order, 'redline', item],
      queryFn: () =>
        told(api.GET('/api/orders/{number}/items/{item}/redline', { params: { path: { number: order, item } } })),
    }),
  /** What is known of an item under an order. */
  dataRedline: (order: string, item: string) =>
    queryOptions({
      queryKey: ['orders', order, 'data', item],
      queryFn: () =>
        told(api.GET('/api/orders/{number}/items/{item}/data', { params: { path: { number: order, item } } })),
    }),
  /** The same of all items of which anything changes. */
  dataOfOrder: (order: string) =>
    queryOptions({
      queryKey: ['orders', order, 'data'],
      queryFn: () => told(api.GET('/api/orders/{number}/data', { params: { path: { number: order } } })),
    }),
  /** What belongs together with its items. */
  belongings: (order: string) =>
    queryOptions({
      queryKey: ['orders', order, 'belongings'],
      queryFn: () => told(api.GET('/api/orders/{number}/belongings', { params: { path: { number: order } } })),
    }),
  consequences: (order: string) =>
    queryOptions({
      queryKey: ['orders', order, 'consequences'],
      queryFn: () => told(api.GET('/api/orders/{number}/consequences', { params: { path: { number: order } } })),
      placeholderData: (before) => before,
    }),
  review: (order: string) =>
    queryOptions({
      queryKey: ['orders', order, 'review'],
      queryFn: () => told(api.GET('/api/orders/{number}/review', { params: { path: { number: order } } })),
    }),
  /** What replacing a component would do, line by line. */
  replacement: (order: string, asked: Record<'old' | 'new' | 'from' | 'product' | 'category' | 'work', string>) =>
    queryOptions({
      queryKey: ['orders', order, 'replacement', asked],
      queryFn: ({ signal }) =>
        told(
          api.GET('/api/orders/{number}/replacement', {
            params: { path: { number: order }, query: asked },
            signal,
          }),
        ),
      enabled: asked.old !== '',
      placeholderData: (before) => before,
    }),
  /** Whether there is enough of what takes the place of a part; the question is too long for an address. */
  shortages: (asked: Schemas['ShortageQuestion']) =>
    queryOptions({
      queryKey: ['planning', 'shortages', asked],
      queryFn: ({ signal }) => told(api.POST('/api/shortages', { body: asked, signal })),
      placeholderData: (before) => before,
    }),
  /** What stands above, below or beside an item, to go onto an order together. */
  pulledItems: (order: string, query: { item: string; way: string; on: string; to: string }) =>
    queryOptions({
      queryKey: ['orders', order, 'pulled', query],
      queryFn: () => told(api.GET('/api/orders/{number}/pulled-items', { params: { path: { number: order }, query } })),
    }),
  /** All lines of all structures of an order, the lines of some items after those of others. */
  worksheet: (order: string) =>
    infiniteQueryOptions({
      queryKey: ['orders', order, 'worksheet'],
      queryFn: ({ pageParam, signal }) =>
        told(
          api.GET('/api/orders/{number}/worksheet', {
            params: { path: { number: order }, query: { from: String(pageParam) } },
            signal,
          }),
        ),
      initialPageParam: 0,
      getNextPageParam: (last) => last.next ?? undefined,
      structuralSharing: false,
    }),
  /** What the edits of an order would be in siblings. */
  transfer: (order: string, to: string, into: string) =>
    queryOptions({
      queryKey: ['orders', order, 'transfer', to, into],
      queryFn: ({ signal }) =>
        told(
          api.GET('/api/orders/{number}/transfer', {
            params: { path: { number: order }, query: { to, into } },
            signal,
          }),
        ),
      placeholderData: (before) => before,
    }),
  /** Who else is at it, or at its items under another order; asked again and again while the page is looked at. */
  atWork: (order: string) =>
    queryOptions({
      queryKey: ['at-work', order],
      queryFn: () => told(api.GET('/api/orders/{number}/at-work', { params: { path: { number: order } } })),
      refetchInterval: 4_000,
      gcTime: 0,
    }),
  /** Items that got a new number under it. */
  newNumbers: (order: string) =>
    queryOptions({
      queryKey: ['orders', order, 'new-numbers'],
      queryFn: () => told(api.GET('/api/orders/{number}/new-numbers', { params: { path: { number: order } } })),
    }),
  /** How it and other open orders depend on each other. */
  dependences: (order: string) =>
    queryOptions({
      queryKey: ['orders', order, 'dependences'],
      queryFn: () => told(api.GET('/api/orders/{number}/dependences', { params: { path: { number: order } } })),
    }),
};
