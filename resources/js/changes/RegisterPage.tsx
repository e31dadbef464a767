import { useQuery } from '@tanstack/react-query';
import { useNavigate, useSearchParams } from 'react-router';
import { queries } from '../lib/queries';
import { placeOf } from '../lib/places';
import { priorities, steps } from '../lib/words';
import { DataTable } from '../ui/DataTable';
import { Loading } from '../ui/Loading';
import { Page } from '../ui/Page';
import { SearchInput } from '../ui/SearchInput';
import { Select } from '../ui/Select';
import { registerColumns } from './changeColumns';

const shows = { open: 'Open', closed: 'Closed', all: 'Open and closed' } as const;
const everyPriority = { '-': 'Every priority', ...priorities } as const;
const everyStep = { '-': 'Every step', ...steps } as const;

/** All changes. What is looked for stands in the address. */
export function RegisterPage() {
  const [params, setParams] = useSearchParams();
  const navigate = useNavigate();
  const show = params.get('show') ?? 'open';
  const words = params.get('words') ?? '';
  const priority = params.get('priority') ?? '';
  const step = params.get('step') ?? '';
  const changes = useQuery(queries.changes({ show, words, priority }));
  const set = (name: string, value: string) =>
    setParams(
      (before) => {
        if (value === '' || value === '-') before.delete(name);
        else before.set(name, value);
        return before;
      },
      { replace: true },
    );

  return (
    <Page title="Register" over="Reports, requests and orders">
      <div className="mb-3 flex flex-wrap gap-2">
        <SearchInput label="Words or number" initial={words} className="!w-64" onWords={(next) => set('words', next)} />
        <Select
          aria-label="Open or closed"
          className="!w-44"
          value={show as keyof typeof shows}
          onChange={(v) => set('show', v)}
          options={shows}
        />
        <Select
          aria-label="Priority"
          className="!w-40"
          value={(priority || '-') as keyof typeof everyPriority}
          onChange={(v) => set('priority', v)}
          options={everyPriority}
        />
        <Select
          aria-label="Step"
          className="!w-40"
          value={(step || '-') as keyof typeof everyStep}
          onChange={(v) => set('step', v)}
          options={everyStep}
        />
      </div>
      <Loading query={changes}>
        {(rows) => {
          const shown = step === '' ? rows : rows.filter((row) => row.step === step);
          return (
            <DataTable
              label="Changes"
              caption={shown.length === 1 ? '1 change' : `${shown.length} changes`}
              exportName="register"
              rows={shown}
              columns={registerColumns}
              keyOf={(change) => change.number}
              onOpen={(change) => void navigate(placeOf(change.number))}
              empty="No change reads like that. Take a filter away, or raise a request from the Desk."
            />
          );
        }}
      </Loading>
    </Page>
  );
}
