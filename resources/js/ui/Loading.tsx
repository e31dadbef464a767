import type { ReactNode } from 'react';
import { Button } from './Button';
import { Notice } from './Notice';

/** As much of a question to the server as is shown of it. */
interface Asked<Data> {
  data: Data | undefined;
  isError: boolean;
  error: Error | null;
  refetch: () => unknown;
}

interface Props<Data> {
  query: Asked<Data>;
  children: (data: Data) => ReactNode;
}

/** What a question to the server answered; while it is under way, or when it failed, says so. */
export function Loading<Data>({ query, children }: Props<Data>) {
  if (query.data !== undefined) return <>{children(query.data)}</>;
  if (query.isError) {
    return (
      <Notice look="alarm">
        <p>{query.error?.message}</p>
        <Button look="quiet" className="px-0" onClick={() => void query.refetch()}>
          Try again
        </Button>
      </Notice>
    );
  }
  return (
    <p role="status" className="py-4 text-soft">
      Loading …
    </p>
  );
}
