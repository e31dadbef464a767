import { queryOptions } from '@tanstack/react-query';
import { api, told } from '../api';

/** What somebody is to do for a change, and the groups that may be asked. */
export const tasks = {
  task: (number: string) =>
    queryOptions({
      queryKey: ['tasks', number],
      queryFn: () => told(api.GET('/api/tasks/{number}', { params: { path: { number } } })),
    }),
  groups: () => queryOptions({ queryKey: ['groups'], queryFn: () => told(api.GET('/api/groups')), staleTime: 300_000 }),
};
