import type { Schemas } from '../../lib/api';
import { count } from '../../lib/format';
import { LedgerTable } from '../../register/LedgerTable';

/** Everything that was done, by whom and when. */
export function LookBackStep({ dossier }: { dossier: Schemas['Dossier'] }) {
  return (
    <>
      {dossier.acts > dossier.ledger.length && (
        <p className="text-sm text-soft">
          The newest {dossier.ledger.length} of {count(dossier.acts)} entries.
        </p>
      )}
      <LedgerTable rows={dossier.ledger} />
    </>
  );
}
