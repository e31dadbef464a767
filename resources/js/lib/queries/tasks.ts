import { queryOptions } from '@tanstack/react-query';
import { api, told } from '../api';

/** What somebody is to do for a change, the groups that may be asked, and the paths on which orders are judged. */
export const tasks = {
  task: (number: string) =>
    queryOptions({
      queryKey: ['tasks', number],
      queryFn: () => told(api.GET('/api/tasks/{number}', { params: { path: { number } } })),
    }),
  taskWork: (number: string) =>
    queryOptions({
      queryKey: ['tasks', number, 'edits'],
      queryFn: () => told(api.GET('/api/tasks/{number}/edits', { params: { path: { number } } })),
    }),
  approvalPaths: () =>
    queryOptions({ queryKey: ['paths'], queryFn: () => told(api.GET('/api/approval-paths')), staleTime: 300_000 }),
  responsible: () => queryOptions({ queryKey: ['responsible'], queryFn: () => told(api.GET('/api/responsible')) }),
  absences: () => queryOptions({ queryKey: ['absences'], queryFn: () => told(api.GET('/api/absences')) }),
  groups: () => queryOptions({ queryKey: ['groups'], queryFn: () => told(api.GET('/api/groups')), staleTime: 300_000 }),
};
