import { queryOptions } from '@tanstack/react-query';
import { api, told } from '../api';
import { paged } from './paged';

/** Milliseconds after which it is looked whether there is anything new. */
const LOOK = 60_000;

/** What the person who is signed in was told of, and what they watch. */
export const notices = {
  notices: (query: { unread?: string; change?: string }) =>
    paged(['notices', 'page', query], (from) =>
      told(api.GET('/api/notices', { params: { query: { ...query, from: String(from) } } })),
    ),
  unreadNotices: () =>
    queryOptions({
      queryKey: ['notices', 'unread'],
      queryFn: () => told(api.GET('/api/notices/unread')),
      refetchInterval: LOOK,
    }),
  changeNotice: (number: string) =>
    queryOptions({
      queryKey: ['change-notices', number],
      queryFn: () => told(api.GET('/api/change-notices/{number}', { params: { path: { number } } })),
    }),
  noticeOfOrder: (order: string) =>
    queryOptions({
      queryKey: ['change-notices', 'of', order],
      queryFn: () => told(api.GET('/api/orders/{number}/notice', { params: { path: { number: order } } })),
      // It is written after the release, not in it: nobody waits for a document.
      refetchInterval: ({ state }) => (state.data?.coming ? 1500 : false),
    }),
  distributionLists: () =>
    queryOptions({ queryKey: ['distribution-lists'], queryFn: () => told(api.GET('/api/distribution-lists')) }),
  calendar: () => queryOptions({ queryKey: ['calendar'], queryFn: () => told(api.GET('/api/calendar')) }),
  discussion: (number: string) =>
    queryOptions({
      queryKey: ['discussions', number],
      queryFn: () => told(api.GET('/api/discussions/{number}', { params: { path: { number } } })),
    }),
  noticePaces: () => queryOptions({ queryKey: ['notice-paces'], queryFn: () => told(api.GET('/api/notices/paces')) }),
  /** Asked once a visit to the page: asking is looking. */
  look: (number: string) =>
    queryOptions({
      queryKey: ['looks', number],
      queryFn: () => told(api.POST('/api/changes/{number}/look', { params: { path: { number } } })),
      staleTime: Infinity,
      refetchOnWindowFocus: false,
    }),
  watch: (number: string) =>
    queryOptions({
      queryKey: ['watches', number],
      queryFn: () => told(api.GET('/api/changes/{number}/watch', { params: { path: { number } } })),
    }),
};
