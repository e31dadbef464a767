import { infiniteQueryOptions, queryOptions } from '@tanstack/react-query';
import { api, told } from '../api';
import { paged } from './paged';

/** Items and their structures. */
export const structures = {
  items: (query: Record<string, string>) =>
    paged(['items', 'list', query], (from) =>
      told(api.GET('/api/items', { params: { query: { ...query, from: String(from) } } })),
    ),
  /** Items by words or number, for whoever picks one. */
  itemsNamed: (words: string) => ({
    queryKey: ['items', 'named', words],
    queryFn: () => told(api.GET('/api/items', { params: { query: { words, most: '20' } } })),
  }),
  item: (number: string) =>
    queryOptions({
      queryKey: ['items', 'page', number],
      queryFn: () => told(api.GET('/api/items/{number}', { params: { path: { number } } })),
    }),
  itemData: (number: string, on: string) =>
    queryOptions({
      queryKey: ['items', 'data', number, on],
      queryFn: () => told(api.GET('/api/items/{number}/data', { params: { path: { number }, query: { on } } })),
      placeholderData: (before) => before,
    }),
  partsList: (file: string) =>
    queryOptions({
      queryKey: ['items', 'parts-list', file],
      queryFn: () => told(api.GET('/api/files/{id}/parts-list', { params: { path: { id: file } } })),
    }),
  comparedSheets: (before: string, after: string, page: number) =>
    queryOptions({
      queryKey: ['items', 'compared-sheets', before, after, page],
      queryFn: () =>
        told(
          api.GET('/api/files/{id}/against/{after}', {
            params: { path: { id: before, after }, query: { page: String(page) } },
          }),
        ),
    }),
  orderSheets: (order: string) =>
    queryOptions({
      queryKey: ['items', 'order-sheets', order],
      queryFn: () => told(api.GET('/api/orders/{number}/sheets', { params: { path: { number: order } } })),
    }),
  sheetMarks: (file: string) =>
    queryOptions({
      queryKey: ['sheet-marks', file],
      queryFn: () => told(api.GET('/api/files/{id}/marks', { params: { path: { id: file } } })),
    }),
  sheetAddress: (file: string) =>
    queryOptions({
      queryKey: ['sheet-addresses', file],
      queryFn: () => told(api.GET('/api/files/{id}/address', { params: { path: { id: file } } })),
    }),
  documents: (number: string) =>
    queryOptions({
      queryKey: ['items', 'documents', number],
      queryFn: () => told(api.GET('/api/items/{number}/documents', { params: { path: { number } } })),
    }),
  olderUses: (number: string) =>
    queryOptions({
      queryKey: ['items', 'older-uses', number],
      queryFn: () => told(api.GET('/api/items/{number}/older-uses', { params: { path: { number } } })),
    }),
  plannedUses: (number: string) =>
    queryOptions({
      queryKey: ['items', 'planned-uses', number],
      queryFn: () => told(api.GET('/api/items/{number}/planned-uses', { params: { path: { number } } })),
    }),
  tree: (
    number: string,
    query: {
      on: string;
      kind: string;
      plant?: string;
      levels: string;
      times?: string;
      time?: string;
      orders?: string;
      revision?: string;
    },
  ) =>
    queryOptions({
      queryKey: ['items', 'tree', number, query],
      queryFn: () => told(api.GET('/api/items/{number}/structure', { params: { path: { number }, query } })),
      placeholderData: (before) => (before?.number === number ? before : undefined),
    }),
  summary: (number: string, query: { on: string; kind: string; plant?: string }) =>
    infiniteQueryOptions({
      queryKey: ['items', 'summary', number, query],
      queryFn: ({ pageParam: from }) =>
        told(
          api.GET('/api/items/{number}/summary', {
            params: { path: { number }, query: { ...query, from: String(from) } },
          }),
        ),
      initialPageParam: 0,
      getNextPageParam: (last) =>
        last.from + last.rows.length < last.total ? last.from + last.rows.length : undefined,
    }),
  comparison: (query: Record<string, string>) =>
    queryOptions({
      queryKey: ['items', 'comparison', query],
      queryFn: () => told(api.GET('/api/comparison', { params: { query } })),
      enabled: Boolean(query.left) && Boolean(query.right),
      placeholderData: (before) => before,
    }),
  whereUsed: (number: string, query: { on?: string; kind?: string; plant?: string; only: 'all' | 'tops' }) =>
    infiniteQueryOptions({
      queryKey: ['items', 'where-used', number, query],
      queryFn: ({ pageParam: from }) =>
        told(
          api.GET('/api/items/{number}/where-used', {
            params: { path: { number }, query: { ...query, from: String(from) } },
          }),
        ),
      initialPageParam: 0,
      getNextPageParam: (last) => {
        const next = last.from + last.rows.length;
        return next < (query.only === 'tops' ? last.tops : last.total) ? next : undefined;
      },
    }),
  directlyUsed: (number: string, query: { on?: string; kind?: string; plant?: string }) =>
    queryOptions({
      queryKey: ['items', 'where-used', number, 'direct', query],
      queryFn: () =>
        told(
          api.GET('/api/items/{number}/where-used', {
            params: { path: { number }, query: { ...query, only: 'direct' } },
          }),
        ),
    }),
  proposedNumber: (category: string) =>
    queryOptions({
      queryKey: ['items', 'number', category],
      queryFn: () => told(api.GET('/api/item-number', { params: { query: { category } } })),
      enabled: category !== '',
    }),
};
