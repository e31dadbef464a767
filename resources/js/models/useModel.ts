import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { readModel, type Progress } from './readModel';
import type { Solid } from './solids';

export interface Model {
  solids: Solid[] | null;
  /** Bodies for which there was no room. */
  undrawn: number;
  progress: Progress;
  fault: string | null;
  cancelled: boolean;
  cancel: () => void;
  again: () => void;
}

const MINUTE = 60_000;

/** A design model while it is read, and then its bodies; null: none is asked for. */
export function useModel(file: string | null): Model {
  const client = useQueryClient();
  const [progress, setProgress] = useState<Progress & { of: string | null }>({ of: null, loaded: 0, reading: false });
  const queryKey = ['model', file];
  const query = useQuery({
    queryKey,
    queryFn: ({ signal }) => readModel(`/api/files/${file}`, (now) => setProgress({ of: file, ...now }), signal),
    enabled: file !== null,
    // A file never changes; it is large, and not kept long.
    staleTime: Infinity,
    gcTime: MINUTE,
    retry: false,
    refetchOnWindowFocus: false,
    structuralSharing: false,
  });
  return {
    solids: query.data?.solids ?? null,
    undrawn: query.data?.undrawn ?? 0,
    progress: progress.of === file ? progress : { loaded: 0, reading: false },
    fault: query.error?.message ?? null,
    cancelled: file !== null && query.isPending && query.fetchStatus === 'idle',
    cancel: () => void client.cancelQueries({ queryKey }),
    again: () => void query.refetch(),
  };
}
