import { queryOptions } from '@tanstack/react-query';
import { api, told } from '../api';

/** Who is signed in, people, and what a person keeps at hand. */
export const people = {
  me: () =>
    queryOptions({ queryKey: ['me'], queryFn: () => told(api.GET('/api/session')), retry: false, staleTime: Infinity }),
  people: () => queryOptions({ queryKey: ['people'], queryFn: () => told(api.GET('/api/people')), staleTime: 300_000 }),
  favourites: () =>
    queryOptions({ queryKey: ['favourites'], queryFn: () => told(api.GET('/api/favourites')), staleTime: 300_000 }),
};
