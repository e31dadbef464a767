import { useState } from 'react';
import { WorkCentre } from '../manufacturing/WorkCentre';
import { api, told, type Schemas } from '../lib/api';
import { amount } from '../lib/format';
import { inMoney } from '../lib/settings';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { Button } from '../ui/Button';
import { DataTable } from '../ui/DataTable';
import { Field } from '../ui/Field';
import { Input } from '../ui/Input';
import { ProblemNotice } from '../ui/Notice';
import { changeColumn } from '../ui/table/changeColumn';

type Plant = Schemas['PlantRow'];
type Centre = Schemas['WorkCentreRow'];

/** Where operations are done at a plant. What operations once named is never taken away: it is retired. */
export function WorkCentres({ plant, maySet }: { plant: Plant; maySet: boolean }) {
  const [open, setOpen] = useState<string | null>(null);
  const opened = plant.work_centres.find(({ code }) => code === open);
  const status = (row: Centre) => (row.retired ? 'retired' : 'active');
  return (
    <div className="mt-3">
      <DataTable
        label={`Work centres of ${plant.name}`}
        exportName={`${plant.code}-work-centres`}
        rows={plant.work_centres}
        keyOf={(row) => row.code}
        empty="No work centre is set up here yet."
        columns={[
          {
            id: 'code',
            head: 'Work centre',
            text: (row) => row.code,
            cell: (row) => (
              <span className="font-mono text-[0.84rem]">
                <WorkCentre plant={plant.code} code={row.code} />
              </span>
            ),
          },
          { id: 'name', head: 'Name', text: (row) => row.name, cell: (row) => row.name },
          {
            id: 'rate',
            get head() {
              return inMoney('Per hour');
            },
            numeric: true,
            text: (row) => row.rate,
            cell: (row) => amount(row.rate),
          },
          { id: 'status', head: 'Status', text: status, cell: status },
          ...(maySet ? [changeColumn<Centre>(open, setOpen)] : []),
        ]}
      />
      {opened && <CentreForm key={opened.code} plant={plant.code} centre={opened} onDone={() => setOpen(null)} />}
      {maySet && <NewCentre plant={plant} />}
    </div>
  );
}

function CentreForm({ plant, centre, onDone }: { plant: string; centre: Centre; onDone: () => void }) {
  const [value, setValue] = useState({ name: centre.name, rate: centre.rate });
  const set = useAct(
    touches.plant,
    (retired: boolean) =>
      told(
        api.PATCH('/api/plants/{code}/work-centres/{centre}', {
          params: { path: { code: plant, centre: centre.code } },
          body: { ...value, retired, version: centre.version },
        }),
      ),
    onDone,
  );
  return (
    <form
      aria-label={`Change ${centre.name}`}
      className="mt-2 border-y border-strong bg-sheet p-3"
      onSubmit={(event) => {
        event.preventDefault();
        set.mutate(centre.retired);
      }}
    >
      <div className="flex flex-wrap items-start gap-2">
        <Field label={`Name of ${centre.code}`} className="w-72" error={set.error?.at('name')}>
          <Input value={value.name} onChange={(event) => setValue({ ...value, name: event.target.value })} />
        </Field>
        <Field label={inMoney('Per hour')} className="w-36" error={set.error?.at('rate')}>
          <Input value={value.rate} onChange={(event) => setValue({ ...value, rate: event.target.value })} />
        </Field>
        <Button type="submit" className="mt-5.5" busy={set.isPending}>
          Save
        </Button>
        <Button look="quiet" className="mt-5.5" busy={set.isPending} onClick={() => set.mutate(!centre.retired)}>
          {centre.retired ? 'Reinstate' : 'Retire'}
        </Button>
        <Button look="quiet" className="mt-5.5" onClick={onDone}>
          Cancel
        </Button>
      </div>
      <ProblemNotice problem={set.error} shown={['name', 'rate']} />
    </form>
  );
}

function NewCentre({ plant }: { plant: Plant }) {
  const empty = { code: '', name: '', rate: '' };
  const [value, setValue] = useState(empty);
  const add = useAct(
    touches.plant,
    () => told(api.POST('/api/plants/{code}/work-centres', { params: { path: { code: plant.code } }, body: value })),
    () => setValue(empty),
  );
  return (
    <form
      aria-label={`New work centre of ${plant.name}`}
      className="mt-2"
      onSubmit={(event) => {
        event.preventDefault();
        add.mutate(undefined);
      }}
    >
      <div className="flex flex-wrap items-start gap-2">
        <Field label="Code (fixed once added)" className="w-44" error={add.error?.at('code')}>
          <Input value={value.code} onChange={(event) => setValue({ ...value, code: event.target.value })} />
        </Field>
        <Field label="Name" className="w-72" error={add.error?.at('name')}>
          <Input value={value.name} onChange={(event) => setValue({ ...value, name: event.target.value })} />
        </Field>
        <Field label={inMoney('Per hour')} className="w-36" error={add.error?.at('rate')}>
          <Input value={value.rate} onChange={(event) => setValue({ ...value, rate: event.target.value })} />
        </Field>
        <Button type="submit" className="mt-5.5" busy={add.isPending}>
          Add a work centre
        </Button>
      </div>
      <ProblemNotice problem={add.error} shown={['code', 'name', 'rate']} />
    </form>
  );
}
