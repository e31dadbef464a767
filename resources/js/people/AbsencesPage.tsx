import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, told } from '../lib/api';
import { day, today } from '../lib/format';
import { queries } from '../lib/queries';
import { useMay, useMe } from '../lib/session';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { Button } from '../ui/Button';
import { DataTable } from '../ui/DataTable';
import { DateInput } from '../ui/DateInput';
import { Field } from '../ui/Field';
import { Loading } from '../ui/Loading';
import { ProblemNotice } from '../ui/Notice';
import { Page } from '../ui/Page';
import { Select } from '../ui/Select';

/** Who is away, and who signs for them meanwhile. */
export function AbsencesPage() {
  const absences = useQuery(queries.absences());
  const mayBeAway = useMay('be_away');
  const remove = useAct(touches.absence, (id: number) =>
    told(api.DELETE('/api/absences/{id}', { params: { path: { id: String(id) } } })),
  );
  return (
    <Page title="Absences" over="Deputies">
      <Loading query={absences}>
        {(rows) => (
          <div className="max-w-4xl space-y-4">
            <p className="text-soft">
              While somebody is away, their deputy signs for them. What they signed stays signed.
            </p>
            <DataTable
              label="Absences"
              rows={rows}
              keyOf={(row) => String(row.id)}
              empty="Nobody is away."
              columns={[
                { id: 'name', head: 'Person', text: (row) => row.name, cell: (row) => row.name },
                { id: 'first', head: 'First day', text: (row) => row.first_day, cell: (row) => day(row.first_day) },
                { id: 'last', head: 'Last day', text: (row) => row.last_day, cell: (row) => day(row.last_day) },
                {
                  id: 'deputy',
                  head: 'Deputy',
                  text: (row) => row.deputy_name ?? '',
                  cell: (row) => row.deputy_name ?? 'nobody',
                },
                {
                  id: 'remove',
                  head: '',
                  silent: true,
                  text: () => '',
                  cell: (row) =>
                    row.mine && (
                      <Button
                        look="quiet"
                        className="!h-6 !px-1"
                        aria-label={`Remove the absence of ${row.name} from ${day(row.first_day)}`}
                        busy={remove.isPending}
                        onClick={() => remove.mutate(row.id)}
                      >
                        Remove
                      </Button>
                    ),
                },
              ]}
            />
            <ProblemNotice problem={remove.error} />
            {mayBeAway && <NewAbsence />}
          </div>
        )}
      </Loading>
    </Page>
  );
}

function NewAbsence() {
  const me = useMe();
  const forAll = useMay('set_up');
  const people = useQuery(queries.people()).data ?? [];
  const [value, setValue] = useState({ person: me.login, deputy: '', first_day: '', last_day: '' });
  const set = (some: Partial<typeof value>) => setValue({ ...value, ...some });
  const add = useAct(
    touches.absence,
    () => told(api.POST('/api/absences', { body: { ...value, deputy: value.deputy === '' ? null : value.deputy } })),
    () => set({ deputy: '', first_day: '', last_day: '' }),
  );
  const names = Object.fromEntries(people.map(({ login, name }) => [login, name]));
  return (
    <form
      aria-label="New absence"
      className="space-y-2 border-y border-strong bg-sheet p-3"
      onSubmit={(event) => {
        event.preventDefault();
        add.mutate(undefined);
      }}
    >
      <div className="grid gap-3 sm:grid-cols-4">
        {forAll && (
          <Field label="Person" error={add.error?.at('person')}>
            <Select value={value.person} onChange={(person) => set({ person })} options={names} />
          </Field>
        )}
        <Field label="First day" error={add.error?.at('first_day')}>
          <DateInput value={value.first_day} min={today()} onChange={(first_day) => set({ first_day })} />
        </Field>
        <Field label="Last day" error={add.error?.at('last_day')}>
          <DateInput value={value.last_day} min={today()} onChange={(last_day) => set({ last_day })} />
        </Field>
        <Field label="Deputy" error={add.error?.at('deputy')}>
          <Select value={value.deputy} placeholder="Nobody" onChange={(deputy) => set({ deputy })} options={names} />
        </Field>
      </div>
      <ProblemNotice problem={add.error} shown={['person', 'first_day', 'last_day', 'deputy']} />
      <Button type="submit" look="main" busy={add.isPending}>
        Add absence
      </Button>
    </form>
  );
}
