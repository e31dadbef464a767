import { queryOptions } from '@tanstack/react-query';
import { api, told } from '../api';

/** What an administrator sets up, and what is taken over. */
export const setUp = {
  choices: () =>
    queryOptions({
      queryKey: ['choices'],
      queryFn: () => told(api.GET('/api/choices')),
      staleTime: Infinity,
    }),
  categories: () =>
    queryOptions({ queryKey: ['categories'], queryFn: () => told(api.GET('/api/categories')), staleTime: 60_000 }),
  plants: () => queryOptions({ queryKey: ['plants'], queryFn: () => told(api.GET('/api/plants')) }),
  kinds: () => queryOptions({ queryKey: ['kinds'], queryFn: () => told(api.GET('/api/kinds')) }),
  formTemplates: () =>
    queryOptions({ queryKey: ['form-templates'], queryFn: () => told(api.GET('/api/form-templates')) }),
  imports: () =>
    queryOptions({
      queryKey: ['imports'],
      queryFn: () => told(api.GET('/api/imports')),
      // What is under way is looked at until it has ended.
      refetchInterval: ({ state }) =>
        state.data?.some((one) => ['waiting', 'checking', 'writing'].includes(one.state)) ? 700 : false,
    }),
};
