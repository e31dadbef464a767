import { queryOptions } from '@tanstack/react-query';
import { api, told } from './api';

/** Everything the screens read, by key. A key begins with what it is about, so that an act can refresh it. */
export const queries = {
  me: () =>
    queryOptions({ queryKey: ['me'], queryFn: () => told(api.GET('/api/session')), retry: false, staleTime: Infinity }),
  people: () => queryOptions({ queryKey: ['people'], queryFn: () => told(api.GET('/api/people')), staleTime: 300_000 }),
  desk: () => queryOptions({ queryKey: ['changes', 'desk'], queryFn: () => told(api.GET('/api/desk')) }),
  changes: (query: { show: string; words: string; priority: string }) =>
    queryOptions({
      queryKey: ['changes', 'register', query],
      queryFn: () => told(api.GET('/api/changes', { params: { query } })),
      placeholderData: (before) => before,
    }),
  dossier: (number: string) =>
    queryOptions({
      queryKey: ['changes', 'dossier', number],
      queryFn: () => told(api.GET('/api/dossiers/{number}', { params: { path: { number } } })),
      // A hand-over on its way is answered within seconds when planning is there.
      refetchInterval: ({ state }) => (state.data?.handovers.some((h) => h.sending) ? 1500 : false),
    }),
  redline: (order: string, item: string) =>
    queryOptions({
      queryKey: ['changes', 'redline', order, item],
      queryFn: () =>
        told(api.GET('/api/orders/{number}/items/{item}/redline', { params: { path: { number: order, item } } })),
    }),
  consequences: (order: string) =>
    queryOptions({
      queryKey: ['changes', 'consequences', order],
      queryFn: () => told(api.GET('/api/orders/{number}/consequences', { params: { path: { number: order } } })),
      placeholderData: (before) => before,
    }),
  review: (order: string) =>
    queryOptions({
      queryKey: ['changes', 'review', order],
      queryFn: () => told(api.GET('/api/orders/{number}/review', { params: { path: { number: order } } })),
    }),
  items: (words: string) =>
    queryOptions({
      queryKey: ['items', 'list', words],
      queryFn: () => told(api.GET('/api/items', { params: { query: { words } } })),
      placeholderData: (before) => before,
    }),
  item: (number: string) =>
    queryOptions({
      queryKey: ['items', 'page', number],
      queryFn: () => told(api.GET('/api/items/{number}', { params: { path: { number } } })),
    }),
  structure: (number: string, query: { on?: string; kind?: string; revision?: string }) =>
    queryOptions({
      queryKey: ['items', 'structure', number, query],
      queryFn: () => told(api.GET('/api/items/{number}/structure', { params: { path: { number }, query } })),
      placeholderData: (before) => before,
    }),
  whereUsed: (number: string, query: { on?: string; kind?: string } = {}) =>
    queryOptions({
      queryKey: ['items', 'where-used', number, query],
      queryFn: () => told(api.GET('/api/items/{number}/where-used', { params: { path: { number }, query } })),
    }),
  exposure: (items: string[]) =>
    queryOptions({
      queryKey: ['planning', 'exposure', items],
      queryFn: () => told(api.GET('/api/exposure', { params: { query: { items: items.join(',') } } })),
      enabled: items.length > 0,
      staleTime: 30_000,
    }),
};
