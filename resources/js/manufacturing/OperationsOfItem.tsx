import { useQuery } from '@tanstack/react-query';
import { queries } from '../lib/queries';
import { OperationUses } from './OperationUses';

/** Where a tool or a document is used by routings; nothing where it is not. */
export function OperationsOfItem({ number, on }: { number: string; on: string }) {
  const uses = useQuery(queries.operationsOfItem(number, on));
  return uses.data === undefined || uses.data.total === 0 ? null : (
    <section aria-label="Used at operations">
      <h2 className="mb-1">Used at operations</h2>
      <OperationUses of={number} uses={uses.data} />
    </section>
  );
}
