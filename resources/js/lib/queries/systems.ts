import { queryOptions } from '@tanstack/react-query';
import { api, told } from '../api';
import { paged } from './paged';

/** What other systems are told of, and what of hand-overs they get. */
export const systems = {
  events: () =>
    queryOptions({ queryKey: ['events'], queryFn: () => told(api.GET('/api/events')), staleTime: Infinity }),
  /** What waits there is on its way: it is looked at again by itself. */
  webhooks: () =>
    queryOptions({
      queryKey: ['systems', 'webhooks'],
      queryFn: () => told(api.GET('/api/webhooks')),
      refetchInterval: ({ state }) => (state.data?.some((one) => one.state.waiting > 0) ? 5_000 : false),
    }),
  handoverProfiles: () =>
    queryOptions({
      queryKey: ['systems', 'profiles'],
      queryFn: () => told(api.GET('/api/hand-over-profiles')),
      refetchInterval: ({ state }) => (state.data?.some((one) => one.state.waiting > 0) ? 5_000 : false),
    }),
  deliveries: (code: string, state: string) => ({
    ...paged(['systems', 'deliveries', code, state], (from) =>
      told(
        api.GET('/api/channels/{code}/deliveries', {
          params: { path: { code }, query: { ...(state === '' ? {} : { state }), from: String(from) } },
        }),
      ),
    ),
    refetchInterval: 5_000,
  }),
  delivery: (id: number) =>
    queryOptions({
      queryKey: ['systems', 'delivery', id],
      queryFn: () => told(api.GET('/api/deliveries/{id}', { params: { path: { id: String(id) } } })),
    }),
  pastHandovers: (words: string) => ({
    queryKey: ['past-hand-overs', words] as const,
    queryFn: () => told(api.GET('/api/past-hand-overs', { params: { query: { words } } })),
  }),
};
