import { queryOptions } from '@tanstack/react-query';
import { api, told } from '../api';

/** Who is signed in, people, and what a person keeps at hand. */
export const people = {
  me: () =>
    queryOptions({ queryKey: ['me'], queryFn: () => told(api.GET('/api/session')), retry: false, staleTime: Infinity }),
  people: () => queryOptions({ queryKey: ['people'], queryFn: () => told(api.GET('/api/people')), staleTime: 300_000 }),
  accounts: () => queryOptions({ queryKey: ['accounts'], queryFn: () => told(api.GET('/api/accounts')) }),
  accountSafety: (login: string) =>
    queryOptions({
      queryKey: ['accounts', login, 'safety'],
      queryFn: () => told(api.GET('/api/accounts/{login}/safety', { params: { path: { login } } })),
    }),
  secondFactor: () =>
    queryOptions({ queryKey: ['second-factor'], queryFn: () => told(api.GET('/api/session/second-factor')) }),
  signIns: () => queryOptions({ queryKey: ['sign-ins'], queryFn: () => told(api.GET('/api/session/sign-ins')) }),
  tokens: () => queryOptions({ queryKey: ['tokens'], queryFn: () => told(api.GET('/api/session/tokens')) }),
  roles: () => queryOptions({ queryKey: ['roles'], queryFn: () => told(api.GET('/api/roles')), staleTime: 60_000 }),
  separation: () => queryOptions({ queryKey: ['separation'], queryFn: () => told(api.GET('/api/separation')) }),
  abilities: () =>
    queryOptions({ queryKey: ['abilities'], queryFn: () => told(api.GET('/api/abilities')), staleTime: Infinity }),
  favourites: () =>
    queryOptions({ queryKey: ['favourites'], queryFn: () => told(api.GET('/api/favourites')), staleTime: 300_000 }),
};
