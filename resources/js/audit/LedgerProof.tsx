import { Details } from '../ui/Details';

interface Props {
  since: string;
  until: string;
}

/** The way to take the records of some days along so that whoever gets them can check them. */
export function LedgerProof({ since, until }: Props) {
  const days = new URLSearchParams(Object.entries({ since, until }).filter(([, day]) => day !== '')).toString();
  const link = 'text-accent underline';
  return (
    <Details summary="Export with proof">
      <p className="mb-2 max-w-prose text-sm">
        All records {days === '' ? 'there are' : 'of the days chosen'}, whatever else is filtered: each carries the hash
        of the one before, and the first line is signed with the house key. Anybody can check them with the script and
        nothing but PHP:
      </p>
      <pre className="mb-2 overflow-x-auto bg-paper p-2 font-mono text-xs">
        php check-ledger.php ledger.txt house-key.pem [ledger-anchors.log]
      </pre>
      <p className="mb-3 flex flex-wrap gap-x-5 gap-y-1 text-sm">
        <a href={days === '' ? '/api/ledger/export' : `/api/ledger/export?${days}`} download className={link}>
          Download records
        </a>
        <a href="/api/ledger/checker" download className={link}>
          Download script
        </a>
        <a href="/house-key.pem" download className={link}>
          Download house key
        </a>
      </p>
    </Details>
  );
}
