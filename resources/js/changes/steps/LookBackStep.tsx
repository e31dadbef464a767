import type { Schemas } from '../../lib/api';
import { LedgerTable } from '../LedgerTable';

/** Everything that was done, by whom and when. */
export function LookBackStep({ dossier }: { dossier: Schemas['Dossier'] }) {
  return <LedgerTable rows={dossier.ledger} />;
}
