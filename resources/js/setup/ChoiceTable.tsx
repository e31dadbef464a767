import { useState } from 'react';
import { api, told, type Schemas } from '../lib/api';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { Button } from '../ui/Button';
import { DataTable } from '../ui/DataTable';
import { Field } from '../ui/Field';
import { Input } from '../ui/Input';
import { ProblemNotice } from '../ui/Notice';
import { changeColumn } from '../ui/table/changeColumn';

type Choice = Schemas['ChoiceRow'];

interface Props {
  label: string;
  rows: Choice[];
  maySet: boolean;
}

/** One list. What was once chosen is never taken away: it is retired, and offered no longer. */
export function ChoiceTable({ label, rows, maySet }: Props) {
  const [open, setOpen] = useState<string | null>(null);
  const opened = rows.find(({ code }) => code === open);
  const status = (row: Choice) => (row.retired ? 'retired' : 'active');
  return (
    <>
      <DataTable
        label={label}
        rows={rows}
        keyOf={(row) => row.code}
        empty="Nothing is set up yet: until then nobody can choose."
        columns={[
          {
            id: 'code',
            head: 'Code',
            text: (row) => row.code,
            cell: (row) => <span className="font-mono text-[0.84rem]">{row.code}</span>,
          },
          { id: 'name', head: 'Name', text: (row) => row.name, cell: (row) => row.name },
          { id: 'status', head: 'Status', text: status, cell: status },
          ...(maySet ? [changeColumn<Choice>(open, setOpen)] : []),
        ]}
      />
      {opened && <ChoiceForm key={opened.code} choice={opened} onDone={() => setOpen(null)} />}
    </>
  );
}

function ChoiceForm({ choice, onDone }: { choice: Choice; onDone: () => void }) {
  const [name, setName] = useState(choice.name);
  const set = useAct(
    touches.choice,
    (retired: boolean) =>
      told(
        api.PATCH('/api/choices/{list}/{code}', {
          params: { path: { list: choice.list, code: choice.code } },
          body: { name, retired, version: choice.version },
        }),
      ),
    onDone,
  );
  return (
    <form
      aria-label={`Change ${choice.name}`}
      className="mt-2 border-y border-strong bg-sheet p-3"
      onSubmit={(event) => {
        event.preventDefault();
        set.mutate(choice.retired);
      }}
    >
      <div className="flex items-start gap-2">
        <Field label={`Name of ${choice.code}`} className="w-72" error={set.error?.at('name')}>
          <Input value={name} onChange={(event) => setName(event.target.value)} />
        </Field>
        <Button type="submit" className="mt-5.5" busy={set.isPending}>
          Save
        </Button>
        <Button look="quiet" className="mt-5.5" busy={set.isPending} onClick={() => set.mutate(!choice.retired)}>
          {choice.retired ? 'Reinstate' : 'Retire'}
        </Button>
        <Button look="quiet" className="mt-5.5" onClick={onDone}>
          Cancel
        </Button>
      </div>
      <ProblemNotice problem={set.error} shown={['name']} />
    </form>
  );
}
