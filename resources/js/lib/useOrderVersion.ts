import { useQueryClient } from '@tanstack/react-query';
import type { Schemas } from './api';

/**
 * The newest version of an order that has been read, asked for when an act is carried out. Acts on one order run one
 * after another (see useAct), so that somebody quick never collides with their own save before.
 */
export function useOrderVersion(order: Schemas['OrderData']): () => number {
  const client = useQueryClient();
  return () => {
    const dossiers = client.getQueriesData<Schemas['Dossier']>({ queryKey: ['dossiers'] });
    const read = dossiers.flatMap(([, dossier]) =>
      dossier?.order?.number === order.number ? [dossier.order.version] : [],
    );
    return Math.max(order.version, ...read);
  };
}
