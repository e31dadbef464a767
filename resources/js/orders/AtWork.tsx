import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef } from 'react';
import { ago } from '../lib/format';
import { queries } from '../lib/queries';
import { workOf } from './worksheet/sheetRows';

/** Reads what is shown of an order anew as soon as somebody has edited it. */
function useNewest(order: string, state: string | undefined) {
  const client = useQueryClient();
  const seen = useRef<string | undefined>(undefined);
  useEffect(() => {
    if (state === undefined) return;
    if (seen.current !== undefined && seen.current !== state)
      void client.invalidateQueries({ queryKey: ['orders', order] });
    seen.current = state;
  }, [client, order, state]);
}

const when = (at: string) => (ago(at) === '0 minutes' ? 'just now' : `${ago(at)} ago`);

/** Who else edits the order now, or its items under another one: whose, and where. */
export function AtWork({ order }: { order: string }) {
  const { data } = useQuery(queries.atWork(order));
  useNewest(order, data?.state);
  const others = data?.others ?? [];
  return (
    <ul
      aria-label="Others at work"
      aria-live="polite"
      className="flex flex-wrap gap-x-6 text-sm text-plum empty:hidden"
    >
      {others.map((one) => (
        <li key={`${one.by} ${one.order} ${one.item} ${one.work}`}>
          <span aria-hidden="true">◆ </span>
          <b className="font-semibold">{one.by}</b> edits {one.item}, {workOf(one.work)}
          {one.order !== order && ` under ${one.order}`}, {when(one.at)}
        </li>
      ))}
    </ul>
  );
}
