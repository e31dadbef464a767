import { useQuery } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { api, told } from '../lib/api';
import { queries } from '../lib/queries';
import { useMay } from '../lib/session';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { today } from '../lib/format';
import { Button } from '../ui/Button';
import { DateInput } from '../ui/DateInput';
import { Field } from '../ui/Field';
import { Loading } from '../ui/Loading';
import { ProblemNotice } from '../ui/Notice';
import { Page } from '../ui/Page';
import { Select } from '../ui/Select';
import { ImportRow } from './ImportRow';

const subjects = {
  items: 'New items',
  structures: 'Structures of items that have none',
  design: 'Design model',
  manufacturing: 'What plants build: structures and routings',
} as const;
type Subject = keyof typeof subjects;

/** Takes over items and structures from files: checked whole first, saved only when nothing is wrong. */
export function ImportPage() {
  const imports = useQuery(queries.imports());
  const mayImport = useMay('import_data');
  const [subject, setSubject] = useState<Subject>('items');
  const [firstDay, setFirstDay] = useState(today());
  const [file, setFile] = useState<File | null>(null);
  const picker = useRef<HTMLInputElement>(null);
  const start = useAct(
    touches.import,
    async () => {
      const body = new FormData();
      body.append('subject', subject);
      body.append('first_day', firstDay);
      if (file) body.append('file', file);
      // What is sent is the form; the body beside it only satisfies the description.
      return told(api.POST('/api/imports', { body: { subject, file: '' }, bodySerializer: () => body }));
    },
    () => {
      setFile(null);
      if (picker.current) picker.current.value = '';
      void imports.refetch();
    },
  );

  return (
    <Page title="Import items and structures">
      {mayImport && (
        <form
          className="mb-6 flex flex-wrap items-start gap-4 border-y border-strong bg-sheet px-3 py-3"
          onSubmit={(event) => {
            event.preventDefault();
            start.mutate(undefined);
          }}
        >
          <Field label="Content" className="w-72" error={start.error?.at('subject')}>
            <Select value={subject} onChange={setSubject} options={subjects} />
          </Field>
          <Field label="Effective from" error={start.error?.at('first_day')}>
            <DateInput value={firstDay} onChange={setFirstDay} />
          </Field>
          <Field
            label="File: XLSX, CSV, JSON or STEP"
            className="min-w-72"
            error={start.error?.at('file')}
            hint={
              subject === 'items'
                ? 'Columns: number, title, kind, category, unit, and more'
                : 'Columns: parent, find, component, quantity, unit, and more'
            }
          >
            <input
              ref={picker}
              type="file"
              accept=".csv,.xlsx,.json,.txt,.stp,.step"
              className="block h-8 file:mr-3 file:h-8 file:rounded-xs file:border file:border-solid file:border-strong file:bg-sheet file:px-3"
              onChange={(event) => setFile(event.target.files?.[0] ?? null)}
            />
          </Field>
          <Button type="submit" look="main" className="mt-5.5" busy={start.isPending}>
            Check and import
          </Button>
          <ProblemNotice problem={start.error} shown={['subject', 'first_day', 'file']} />
        </form>
      )}
      <h2 className="mb-1">Imports</h2>
      <Loading query={imports}>
        {(rows) =>
          rows.length === 0 ? (
            <p className="border-y border-rule py-3 text-soft">
              None yet. A table saved from any structure or from the list of items shows which columns there are.
            </p>
          ) : (
            <ul className="border-y border-strong bg-sheet">
              {rows.map((row) => (
                <ImportRow key={row.id} row={row} mayCancel={mayImport} />
              ))}
            </ul>
          )
        }
      </Loading>
    </Page>
  );
}
