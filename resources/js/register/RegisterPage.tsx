import { useQuery } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import { count } from '../lib/format';
import { placeOf } from '../lib/places';
import { queries } from '../lib/queries';
import { useMe } from '../lib/session';
import { useAddressFilters } from '../lib/useAddressFilters';
import { usePaged } from '../lib/usePaged';
import { changeTypes, priorities, steps } from '../lib/words';
import { Button } from '../ui/Button';
import { DataTable } from '../ui/DataTable';
import { DateInput } from '../ui/DateInput';
import { ItemPicker } from '../ui/ItemPicker';
import { Loading } from '../ui/Loading';
import { Page } from '../ui/Page';
import { SearchInput } from '../ui/SearchInput';
import { Select } from '../ui/Select';
import { Several } from '../ui/Several';
import { registerColumns } from './changeColumns';

const mine = {
  '-': 'All changes',
  waiting: 'Mine, waiting for others',
  part: 'I take part',
  watching: 'I watch',
} as const;

const shows = { open: 'Open', closed: 'Closed', all: 'Open and closed' } as const;

/** All changes. What is looked for stands in the address. */
export function RegisterPage() {
  const { asked, value, set, clear } = useAddressFilters();
  const navigate = useNavigate();
  const me = useMe();
  const people = useQuery(queries.people());
  const changes = usePaged(queries.changes(asked));
  const everyone = {
    '-': 'Anybody',
    [me.login]: 'Me',
    ...Object.fromEntries(
      (people.data ?? []).filter(({ login }) => login !== me.login).map(({ login, name }) => [login, name]),
    ),
  };
  const person = (name: string, label: string) => (
    <label className="flex items-center gap-1.5 text-sm text-soft">
      {label}
      <Select
        aria-label={label}
        className="!w-36"
        value={value(name) || '-'}
        onChange={(v) => set(name, v)}
        options={everyone}
      />
    </label>
  );
  const filtered = Object.keys(asked).some((name) => name !== 'sort');

  return (
    <Page title="Register" over="Reports, requests and orders">
      <div className="no-print mb-3 flex flex-wrap items-center gap-2">
        <SearchInput
          label="Words or number"
          initial={value('words')}
          className="!w-56"
          onWords={(next) => set('words', next)}
        />
        <Select
          aria-label="Open or closed"
          className="!w-40"
          value={(value('show') || 'open') as keyof typeof shows}
          onChange={(v) => set('show', v === 'open' ? '' : v)}
          options={shows}
        />
        <Select
          aria-label="Whose"
          className="!w-44"
          value={(value('mine') || '-') as keyof typeof mine}
          onChange={(v) => set('mine', v)}
          options={mine}
        />
        <Several
          label="Priority"
          chosen={value('priority')}
          options={priorities}
          onChange={(v) => set('priority', v)}
        />
        <Several label="Step" chosen={value('step')} options={steps} onChange={(v) => set('step', v)} />
        <Several label="Kind" chosen={value('type')} options={changeTypes} onChange={(v) => set('type', v)} />
        {person('waits_for', 'Waits for')}
        {person('person', 'Involves')}
        <ItemPicker
          key={value('item')}
          label="Names the item"
          placeholder="Names the item"
          initial={value('item')}
          className="!w-44"
          onPick={({ number }) => set('item', number)}
        />
        <span className="flex items-center gap-1.5 text-sm text-soft">
          Raised from
          <DateInput
            aria-label="Raised from"
            className="!w-32"
            value={value('since')}
            onChange={(v) => set('since', v)}
          />
          to
          <DateInput
            aria-label="Raised to"
            className="!w-32"
            value={value('until')}
            onChange={(v) => set('until', v)}
          />
        </span>
        {filtered && (
          <Button look="quiet" onClick={clear}>
            Show all
          </Button>
        )}
      </div>
      <Loading query={changes.query}>
        {(rows) => (
          <DataTable
            label="Changes"
            caption={changes.total === 1 ? '1 change' : `${count(changes.total)} changes`}
            exportName="register"
            sortParam="sort"
            rows={rows}
            columns={registerColumns}
            keyOf={(change) => change.number}
            onOpen={(change) => void navigate(placeOf(change.number))}
            paged={changes.paged}
            empty="No change matches. Remove a filter, or raise a request from the Desk."
          />
        )}
      </Loading>
    </Page>
  );
}
