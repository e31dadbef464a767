import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { count } from '../lib/format';
import { queries } from '../lib/queries';
import { useMay } from '../lib/session';
import { useAddressFilters } from '../lib/useAddressFilters';
import { usePaged } from '../lib/usePaged';
import { actKinds, acts } from '../register/acts';
import { LedgerTable } from '../register/LedgerTable';
import { Button } from '../ui/Button';
import { DateInput } from '../ui/DateInput';
import { Loading } from '../ui/Loading';
import { Page } from '../ui/Page';
import { SearchInput } from '../ui/SearchInput';
import { Select } from '../ui/Select';
import { LedgerProof } from './LedgerProof';

/** The whole ledger. What is looked for stands in the address. */
export function LedgerPage() {
  return (
    <Page title="Ledger" over="Every act, by whom and when">
      {useMay('read_ledger') ? (
        <Search />
      ) : (
        <p>Your role does not search the ledger. What was done on a change stands in its dossier.</p>
      )}
    </Page>
  );
}

function Search() {
  const { asked, value, set, clear } = useAddressFilters();
  // Fields that keep what is typed begin anew when everything is shown.
  const [turn, setTurn] = useState(0);
  const people = useQuery(queries.people());
  const ledger = usePaged(queries.ledger(asked));
  const kind = value('act').split('.')[0] ?? '';
  const ofKind = Object.entries(acts)
    .filter(([act]) => act.startsWith(`${kind}.`))
    .sort(([, one], [, other]) => one.localeCompare(other));
  return (
    <>
      <div className="no-print mb-3 flex flex-wrap items-center gap-2">
        <SearchInput
          key={`about ${turn}`}
          label="About item, change, task …"
          initial={turn === 0 ? value('about') : ''}
          className="!w-56"
          onWords={(next) => set('about', next.trim())}
        />
        <SearchInput
          key={`words ${turn}`}
          label="Words"
          initial={turn === 0 ? value('words') : ''}
          className="!w-44"
          onWords={(next) => set('words', next)}
        />
        <Select
          aria-label="Who"
          className="!w-44"
          value={value('actor') || '-'}
          onChange={(v) => set('actor', v)}
          options={{
            '-': 'Anybody',
            ...Object.fromEntries((people.data ?? []).map(({ login, name }) => [login, name])),
          }}
        />
        <Select
          aria-label="Kind of act"
          className="!w-44"
          value={kind || '-'}
          onChange={(v) => set('act', v === '-' ? '' : `${v}.`)}
          options={{ '-': 'All acts', ...actKinds }}
        />
        {ofKind.length > 1 && kind !== '' && (
          <Select
            aria-label="Action"
            className="!w-56"
            value={value('act')}
            onChange={(v) => set('act', v)}
            options={{ [`${kind}.`]: 'All of these', ...Object.fromEntries(ofKind) }}
          />
        )}
        <span className="flex items-center gap-1.5 text-sm text-soft">
          From
          <DateInput aria-label="From" className="!w-32" value={value('since')} onChange={(v) => set('since', v)} />
          to
          <DateInput aria-label="To" className="!w-32" value={value('until')} onChange={(v) => set('until', v)} />
        </span>
        {Object.keys(asked).length > 0 && (
          <Button
            look="quiet"
            onClick={() => {
              clear();
              setTurn(turn + 1);
            }}
          >
            Show all
          </Button>
        )}
      </div>
      <LedgerProof since={value('since')} until={value('until')} />
      <Loading query={ledger.query}>
        {(rows) => (
          <LedgerTable
            rows={rows}
            caption={ledger.total === 1 ? '1 record' : `${count(ledger.total)} records`}
            paged={ledger.paged}
            empty="No record matches. Remove a filter."
          />
        )}
      </Loading>
    </>
  );
}
