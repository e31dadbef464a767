import { queryOptions } from '@tanstack/react-query';
import { api, told, type Schemas } from '../api';
import { paged } from './paged';

/** So many numbers of items fit into an address. */
const AT_ONCE = 100;

/** What planning is asked. */
export const planning = {
  /** What still names what a released order replaced. */
  oldDocuments: (order: string, query: Record<string, string>) => ({
    ...paged(['old-documents', order, query], (from) =>
      told(
        api.GET('/api/orders/{number}/old-documents', {
          params: { path: { number: order }, query: { ...query, from: String(from) } },
        }),
      ),
    ),
    refetchInterval: ({ state }: { state: { data?: { pages: Schemas['OldDocumentPage'][] } } }) =>
      state.data?.pages[0]?.reading === true ? 1500 : (false as const),
  }),
  /** All that an order released, in one file each. */
  packages: (order: string) =>
    queryOptions({
      queryKey: ['packages', order],
      queryFn: () => told(api.GET('/api/orders/{number}/packages', { params: { path: { number: order } } })),
      refetchInterval: ({ state }) =>
        state.data?.packages.some((one) => one.state === 'waiting' || one.state === 'making') === true ? 1000 : false,
    }),
  /** How it stands with all that is handed over. */
  handovers: () =>
    queryOptions({
      queryKey: ['hand-overs', 'health'],
      queryFn: () => told(api.GET('/api/hand-overs')),
      refetchInterval: ({ state }) =>
        state.data?.verifying === true || state.data?.handovers.some(({ sending }) => sending) === true ? 1500 : false,
    }),
  differences: (query: Record<string, string>) =>
    paged(['hand-overs', 'differences', query], (from) =>
      told(api.GET('/api/hand-overs/differences', { params: { query: { ...query, from: String(from) } } })),
    ),
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
  cutInToDo: (question: Schemas['CutInQuestion'], on: string) =>
    queryOptions({
      queryKey: ['planning', 'cut-in-to-do', question, on],
      queryFn: () => told(api.POST('/api/cut-in/to-do', { body: { ...question, on } })),
      enabled: on !== '',
      staleTime: 30_000,
    }),
  cutInHinges: (question: Schemas['CutInQuestion']) =>
    queryOptions({
      queryKey: ['planning', 'cut-in-hinges', question],
      queryFn: () => told(api.POST('/api/cut-in/hinges', { body: question })),
      staleTime: 30_000,
    }),
  cutInChances: (question: Schemas['CutInQuestion'], spread_demand: number, spread_lead: number) =>
    queryOptions({
      queryKey: ['planning', 'cut-in-chances', question, spread_demand, spread_lead],
      queryFn: ({ signal }) =>
        told(api.POST('/api/cut-in/chances', { body: { ...question, spread_demand, spread_lead }, signal })),
      staleTime: 30_000,
    }),
  exposure: (items: string[]) =>
    queryOptions({
      queryKey: ['planning', 'exposure', items],
      queryFn: async ({ signal }) => {
        const all: Schemas['ExposurePage'] = { items: [], strangers: [] };
        for (let from = 0; from < items.length; from += AT_ONCE) {
          const some = items.slice(from, from + AT_ONCE).join(',');
          const answer = await told(api.GET('/api/exposure', { params: { query: { items: some } }, signal }));
          all.items.push(...answer.items);
          all.strangers = [...new Set([...all.strangers, ...answer.strangers])];
        }
        return all;
      },
      enabled: items.length > 0,
      staleTime: 30_000,
    }),
};
