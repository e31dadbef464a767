import { Link } from 'react-router';
import type { Schemas } from '../../lib/api';
import { count } from '../../lib/format';
import { useMay } from '../../lib/session';
import { LedgerTable } from '../../register/LedgerTable';

/** Everything that was done, by whom and when. */
export function LookBackStep({ dossier }: { dossier: Schemas['Dossier'] }) {
  const mayAudit = useMay('read_ledger');
  return (
    <>
      {dossier.acts > dossier.ledger.length && (
        <p className="text-sm text-soft">
          The newest {dossier.ledger.length} of {count(dossier.acts)} entries.{' '}
          {mayAudit && (
            <Link to={`/ledger?about=${dossier.number}`} className="text-accent underline">
              All in the ledger
            </Link>
          )}
        </p>
      )}
      <LedgerTable rows={dossier.ledger} />
    </>
  );
}
