import { infiniteQueryOptions, queryOptions } from '@tanstack/react-query';
import { api, told } from '../api';

/** What belongs to a request: money, questions, forms, reach and the days of cut-in. */
export const requests = {
  money: (number: string) =>
    queryOptions({
      queryKey: ['money', number],
      queryFn: () => told(api.GET('/api/requests/{number}/money', { params: { path: { number } } })),
    }),
  questions: (number: string) =>
    queryOptions({
      queryKey: ['questions', number],
      queryFn: () => told(api.GET('/api/requests/{number}/questions', { params: { path: { number } } })),
    }),
  forms: (number: string) =>
    queryOptions({
      queryKey: ['forms', number],
      queryFn: () => told(api.GET('/api/requests/{number}/forms', { params: { path: { number } } })),
    }),
  reach: (number: string, reason: string, decided = false) =>
    infiniteQueryOptions({
      queryKey: ['reach', number, 'items', reason, decided],
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
      queryKey: ['reach', number, 'picture'],
      queryFn: () => told(api.GET('/api/requests/{number}/reach-picture', { params: { path: { number } } })),
    }),
  cutInStart: (number: string) =>
    queryOptions({
      queryKey: ['cut-ins', number, 'start'],
      queryFn: () => told(api.GET('/api/requests/{number}/cut-in', { params: { path: { number } } })),
    }),
  cutIns: (number: string) =>
    queryOptions({
      queryKey: ['cut-ins', number, 'chosen'],
      queryFn: () => told(api.GET('/api/requests/{number}/cut-ins', { params: { path: { number } } })),
    }),
  cutInOutcomes: (year: string | null) =>
    queryOptions({
      queryKey: ['cut-ins', 'outcomes', year],
      queryFn: () => told(api.GET('/api/cut-in-outcomes', { params: { query: year === null ? {} : { year } } })),
    }),
};
