import type { Schemas } from '../lib/api';

type Used = Schemas['UsedInRow'];

/** A parent where it stands in the tree. */
export interface Parent extends Used {
  /** The way up to it: the same item can stand in several places. */
  key: string;
  /** It is opened, and there is nothing above it on that day. */
  ends: boolean;
}

/** The rows of the tree upward from an item, as far as they are opened. */
export function usedIn(number: string, above: ReadonlyMap<string, Used[]>, open: ReadonlySet<string>): Parent[] {
  const from = (item: string, way: string, level: number): Parent[] =>
    (above.get(item) ?? []).flatMap((row) => {
      const key = `${way}/${row.revision ?? ''}/${row.item.number}`;
      const ends = open.has(key) && above.get(row.item.number)?.length === 0;
      return [{ ...row, key, level, ends }, ...(open.has(key) ? from(row.item.number, key, level + 1) : [])];
    });
  return from(number, '', 1);
}
