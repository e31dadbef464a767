import { queryOptions } from '@tanstack/react-query';
import { api, told } from '../api';
import { paged } from './paged';

/** Problem reports. */
export const problems = {
  reports: (query: Record<string, string>) =>
    paged(['reports', 'page', query], (from) =>
      told(api.GET('/api/reports', { params: { query: { ...query, from: String(from) } } })),
    ),
  report: (number: string) =>
    queryOptions({
      queryKey: ['reports', 'one', number],
      queryFn: () => told(api.GET('/api/reports/{number}', { params: { path: { number } } })),
    }),
  reportsLike: (query: { title: string; description: string; items: string; except?: string }) =>
    queryOptions({
      queryKey: ['reports', 'like', query],
      queryFn: () => told(api.GET('/api/reports-like', { params: { query } })),
      enabled: query.title.trim().length > 3 || query.items !== '',
      placeholderData: (before) => before,
    }),
};
