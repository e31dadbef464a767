import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, told, type Schemas } from '../lib/api';
import { queries } from '../lib/queries';
import { useMay } from '../lib/session';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { nameOf } from '../lib/choices';
import { Button } from '../ui/Button';
import { Field } from '../ui/Field';
import { Input } from '../ui/Input';
import { Loading } from '../ui/Loading';
import { ProblemNotice } from '../ui/Notice';
import { Page } from '../ui/Page';
import { FormTemplateForm } from './FormTemplateForm';

/** The forms that can be handed out, and what each place in them means. */
export function FormTemplatesPage() {
  const templates = useQuery(queries.formTemplates());
  const maySet = useMay('set_up');
  const [open, setOpen] = useState<number | null>(null);
  return (
    <Page title="Forms" over="Set-up">
      <Loading query={templates}>
        {(rows) => (
          <ul className="border-y border-strong bg-sheet">
            {rows.length === 0 && <li className="px-3 py-2 text-soft">There is no template yet.</li>}
            {rows.map((row) => (
              <li key={row.id} className="border-t border-rule px-3 py-2 first:border-t-0">
                {open === row.id ? (
                  <FormTemplateForm key={row.version} template={row} onDone={() => setOpen(null)} />
                ) : (
                  <div className="flex flex-wrap items-baseline gap-x-4">
                    <b className="font-semibold">{row.name}</b>
                    <span className="text-sm text-soft">{meant(row)}</span>
                    <span className="ml-auto flex items-baseline gap-2">
                      <a href={`/api/form-templates/${row.id}/file`} download className="text-accent underline">
                        {row.file_name}
                      </a>
                      {maySet && (
                        <Button
                          look="quiet"
                          className="!h-6"
                          aria-label={`Change ${row.name}`}
                          onClick={() => setOpen(row.id)}
                        >
                          Change
                        </Button>
                      )}
                    </span>
                  </div>
                )}
              </li>
            ))}
          </ul>
        )}
      </Loading>
      {maySet && <NewTemplate onAdded={setOpen} />}
    </Page>
  );
}

function meant(row: Schemas['TemplateRow']): string {
  const of = row.reasons.length === 0 ? 'for every reason' : row.reasons.map((one) => nameOf('reason', one)).join(', ');
  const used = row.mapping.filter(({ use }) => use !== 'nothing').length;
  return `${of}; ${row.controls.length} places, ${used} imported${row.offered ? '' : '; not offered'}`;
}

function NewTemplate({ onAdded }: { onAdded: (id: number) => void }) {
  const [name, setName] = useState('');
  const [file, setFile] = useState<File | null>(null);
  const add = useAct(
    touches.template,
    (one: File) => {
      const body = new FormData();
      body.append('name', name);
      body.append('file', one, one.name);
      return told(api.POST('/api/form-templates', { body: { file: '' }, bodySerializer: () => body }));
    },
    ({ number }) => {
      onAdded(Number(number));
      setName('');
      setFile(null);
    },
  );
  return (
    <form
      aria-label="New template"
      className="mt-6 max-w-4xl space-y-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (file) add.mutate(file);
      }}
    >
      <h2>Add a template</h2>
      <p className="text-soft">
        A DOCX document with content controls. Each has a tag; the one tagged “form” holds the form number.{' '}
        <a href="/api/form-templates/blank" download className="text-accent underline">
          Download a blank form with every kind of control
        </a>
        .
      </p>
      <div className="flex flex-wrap items-start gap-3">
        <Field label="Name" className="w-72" error={add.error?.at('name')}>
          <Input value={name} onChange={(event) => setName(event.target.value)} />
        </Field>
        <Field label="Document" error={add.error?.at('file')}>
          <input
            type="file"
            accept=".docx"
            className="block h-8 file:mr-3 file:h-8 file:rounded-xs file:border file:border-solid file:border-strong file:bg-sheet file:px-3"
            onChange={(event) => setFile(event.target.files?.[0] ?? null)}
          />
        </Field>
        <Button type="submit" className="mt-5.5" disabled={file === null} busy={add.isPending}>
          Add
        </Button>
      </div>
      <ProblemNotice problem={add.error} shown={['name', 'file']} />
    </form>
  );
}
