import { queryOptions } from '@tanstack/react-query';
import { api, told, type Schemas } from '../api';
import { paged } from './paged';

/** The desk, the register and the meeting: many changes at a time. */
export const register = {
  /** Records of other processes that a change refers to. */
  references: (number: string) =>
    queryOptions({
      queryKey: ['references', number],
      queryFn: () => told(api.GET('/api/changes/{number}/references', { params: { path: { number } } })),
    }),
  /** All to which a report, a request, an order or an item is tied. */
  relations: (number: string) =>
    queryOptions({
      queryKey: ['references', 'relations', number],
      queryFn: () => told(api.GET('/api/relations/{number}', { params: { path: { number } } })),
    }),
  desk: () => queryOptions({ queryKey: ['desk'], queryFn: () => told(api.GET('/api/desk')) }),
  changes: (query: Record<string, string>) =>
    paged(['register', 'page', query], (from) =>
      told(api.GET('/api/changes', { params: { query: { ...query, from: String(from) } } })),
    ),
  /** Records of the whole ledger. */
  ledger: (query: Record<string, string>) =>
    paged(['ledger', query], (from) =>
      told(api.GET('/api/ledger', { params: { query: { ...query, from: String(from) } } })),
    ),
  /** Open changes of some kinds by words or number, for whoever picks one. */
  changesNamed: (words: string, types: Schemas['ChangeRow']['type'][], show = 'open') => ({
    queryKey: ['register', 'named', show, types, words],
    queryFn: () =>
      told(api.GET('/api/changes', { params: { query: { show, words, type: types.join(','), most: '20' } } })),
  }),
  meeting: () => queryOptions({ queryKey: ['meeting'], queryFn: () => told(api.GET('/api/meeting')) }),
};
