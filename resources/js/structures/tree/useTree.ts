import type { Picture } from '../../lib/words';
import { useQueries, useQuery, type UseQueryResult } from '@tanstack/react-query';
import type { Schemas } from '../../lib/api';
import { queries } from '../../lib/queries';
import { useKeptHere } from '../../lib/useKeptHere';
import { branchKey, openBranches, visibleRows, type TreeRow } from './treeRows';

export interface Tree {
  page: UseQueryResult<Schemas['TreePage']>;
  rows: TreeRow[];
  turned: ReadonlyMap<string, boolean>;
  turn: (path: string, open: boolean) => void;
  /** Forgets what was opened and closed one by one. */
  reset: () => void;
}

interface Asked {
  number: string;
  on: string;
  picture: Picture;
  levels: number;
  anyTime: boolean;
  /** Whether open orders are laid over what is released. */
  withOrders: boolean;
}

/** A structure as a tree: some levels at once, deeper nodes as they are opened. */
export function useTree({ number, on, picture, levels, anyTime, withOrders }: Asked): Tree {
  const [turned, setTurned] = useKeptHere<ReadonlyMap<string, boolean>>(`turned ${number}`, new Map());
  const [fetched, setFetched] = useKeptHere<{ number: string; times: string }[]>(`branches ${number}`, []);
  const time = { ...(anyTime ? { time: 'any' } : {}), ...(withOrders ? { orders: 'open' } : {}) };
  const page = useQuery(queries.tree(number, { on, ...picture, levels: String(levels), ...time }));
  const below = useQueries({
    queries: fetched.map((branch) =>
      queries.tree(branch.number, { on, ...picture, levels: '1', times: branch.times, ...time }),
    ),
  });
  const branches = new Map(fetched.map((branch, at) => [branchKey(branch), below[at]?.data?.rows ?? []]));
  const openness = { levels, turned };
  const rows = visibleRows(page.data?.rows ?? [], openness, branches);
  const wanted = openBranches(page.data?.rows ?? [], openness, branches).filter((one) => !branches.has(branchKey(one)));
  if (wanted.length > 0) setFetched((before) => [...before, ...wanted]);

  return {
    page,
    rows,
    turned,
    turn: (path, open) => setTurned((before) => new Map(before).set(path, open)),
    reset: () => setTurned(() => new Map()),
  };
}
