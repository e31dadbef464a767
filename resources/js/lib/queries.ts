import { infiniteQueryOptions, queryOptions } from '@tanstack/react-query';
import { api, told, type Schemas } from './api';

interface PageOf<Row> {
  total: number;
  from: number;
  rows: Row[];
}

/** A list that the server gives in pages; the next one is asked for when somebody comes near its rows. */
function paged<Row, Answer extends PageOf<Row>>(queryKey: readonly unknown[], page: (from: number) => Promise<Answer>) {
  return infiniteQueryOptions({
    queryKey,
    queryFn: ({ pageParam }) => page(pageParam),
    initialPageParam: 0,
    getNextPageParam: (last) => {
      const next = last.from + last.rows.length;
      return next < last.total && last.rows.length > 0 ? next : undefined;
    },
    placeholderData: (before) => before,
    // Pages that are here stay as they are: comparing all of them with themselves at each new one takes a frame.
    structuralSharing: false,
  });
}

/** Everything the screens read, by key. A key begins with what it is about, so that an act can refresh it. */
export const queries = {
  me: () =>
    queryOptions({ queryKey: ['me'], queryFn: () => told(api.GET('/api/session')), retry: false, staleTime: Infinity }),
  people: () => queryOptions({ queryKey: ['people'], queryFn: () => told(api.GET('/api/people')), staleTime: 300_000 }),
  desk: () => queryOptions({ queryKey: ['changes', 'desk'], queryFn: () => told(api.GET('/api/desk')) }),
  changes: (query: Record<string, string>) =>
    paged(['changes', 'register', query], (from) =>
      told(api.GET('/api/changes', { params: { query: { ...query, from: String(from) } } })),
    ),
  /** Open changes of some kinds by words or number, for whoever picks one. */
  changesNamed: (words: string, types: Schemas['ChangeRow']['type'][], show = 'open') => ({
    queryKey: ['changes', 'named', show, types, words],
    queryFn: () =>
      told(api.GET('/api/changes', { params: { query: { show, words, type: types.join(','), most: '20' } } })),
  }),
  reports: (query: Record<string, string>) =>
    paged(['changes', 'reports', query], (from) =>
      told(api.GET('/api/reports', { params: { query: { ...query, from: String(from) } } })),
    ),
  report: (number: string) =>
    queryOptions({
      queryKey: ['changes', 'report', number],
      queryFn: () => told(api.GET('/api/reports/{number}', { params: { path: { number } } })),
    }),
  reportsLike: (query: { title: string; description: string; items: string; except?: string }) =>
    queryOptions({
      queryKey: ['changes', 'reports-like', query],
      queryFn: () => told(api.GET('/api/reports-like', { params: { query } })),
      enabled: query.title.trim().length > 3 || query.items !== '',
      placeholderData: (before) => before,
    }),
  meeting: () => queryOptions({ queryKey: ['changes', 'meeting'], queryFn: () => told(api.GET('/api/meeting')) }),
  money: (number: string) =>
    queryOptions({
      queryKey: ['changes', 'money', number],
      queryFn: () => told(api.GET('/api/requests/{number}/money', { params: { path: { number } } })),
    }),
  questions: (number: string) =>
    queryOptions({
      queryKey: ['changes', 'questions', number],
      queryFn: () => told(api.GET('/api/requests/{number}/questions', { params: { path: { number } } })),
    }),
  forms: (number: string) =>
    queryOptions({
      queryKey: ['changes', 'forms', number],
      queryFn: () => told(api.GET('/api/requests/{number}/forms', { params: { path: { number } } })),
    }),
  formTemplates: () =>
    queryOptions({ queryKey: ['form-templates'], queryFn: () => told(api.GET('/api/form-templates')) }),
  reach: (number: string, reason: string, decided = false) =>
    infiniteQueryOptions({
      queryKey: ['changes', 'reach', number, reason, decided],
      queryFn: ({ pageParam: from }) =>
        told(
          api.GET('/api/requests/{number}/reach', {
            params: { path: { number }, query: { reason, from: String(from), decided: decided ? '1' : '' } },
          }),
        ),
      initialPageParam: 0,
      getNextPageParam: (last) =>
        last.from + last.rows.length < last.total ? last.from + last.rows.length : undefined,
      placeholderData: (before) => before,
    }),
  reachPicture: (number: string) =>
    queryOptions({
      queryKey: ['changes', 'reach-picture', number],
      queryFn: () => told(api.GET('/api/requests/{number}/reach-picture', { params: { path: { number } } })),
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
  favourites: () =>
    queryOptions({ queryKey: ['favourites'], queryFn: () => told(api.GET('/api/favourites')), staleTime: 300_000 }),
  kinds: () => queryOptions({ queryKey: ['kinds'], queryFn: () => told(api.GET('/api/kinds')) }),
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
  categories: () =>
    queryOptions({ queryKey: ['categories'], queryFn: () => told(api.GET('/api/categories')), staleTime: 60_000 }),
  proposedNumber: (category: string) =>
    queryOptions({
      queryKey: ['items', 'number', category],
      queryFn: () => told(api.GET('/api/item-number', { params: { query: { category } } })),
      enabled: category !== '',
    }),
  imports: () =>
    queryOptions({
      queryKey: ['imports'],
      queryFn: () => told(api.GET('/api/imports')),
      // What is under way is looked at until it has ended.
      refetchInterval: ({ state }) =>
        state.data?.some((one) => ['waiting', 'checking', 'writing'].includes(one.state)) ? 700 : false,
    }),
  cutIn: (question: Schemas['CutInQuestion']) =>
    queryOptions({
      queryKey: ['planning', 'cut-in', question],
      // Who gives up waiting no longer asks.
      queryFn: ({ signal }) => told(api.POST('/api/cut-in', { body: question, signal })),
      staleTime: 30_000,
    }),
  cutInRows: (question: Schemas['CutInQuestion'], on: string) =>
    queryOptions({
      queryKey: ['planning', 'cut-in-rows', question, on],
      queryFn: () => told(api.POST('/api/cut-in/rows', { body: { ...question, on } })),
      staleTime: 30_000,
    }),
  cutInStart: (number: string) =>
    queryOptions({
      queryKey: ['changes', 'cut-in-start', number],
      queryFn: () => told(api.GET('/api/requests/{number}/cut-in', { params: { path: { number } } })),
    }),
  cutIns: (number: string) =>
    queryOptions({
      queryKey: ['changes', 'cut-ins', number],
      queryFn: () => told(api.GET('/api/requests/{number}/cut-ins', { params: { path: { number } } })),
    }),
  exposure: (items: string[]) =>
    queryOptions({
      queryKey: ['planning', 'exposure', items],
      queryFn: () => told(api.GET('/api/exposure', { params: { query: { items: items.join(',') } } })),
      enabled: items.length > 0,
      staleTime: 30_000,
    }),
};
