import { useId, useState } from 'react';
import { api, told, type Schemas } from '../lib/api';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { allOf } from '../lib/choices';
import { Button } from '../ui/Button';
import { DataTable } from '../ui/DataTable';
import { Field } from '../ui/Field';
import { FileInput } from '../ui/FileInput';
import { Input } from '../ui/Input';
import { ProblemNotice } from '../ui/Notice';
import { tagColumns } from './tagColumns';

type Template = Schemas['TemplateRow'];

/** The settings of one template: when it is offered, what each tag is filled with, and what becomes of it. */
export function FormTemplateForm({ template, onDone }: { template: Template; onDone: () => void }) {
  const id = useId();
  const [name, setName] = useState(template.name);
  const [offered, setOffered] = useState(template.offered);
  const [wanted, setWanted] = useState(template.reasons);
  const [mapping, setMapping] = useState(template.mapping);
  const path = { params: { path: { id: String(template.id) } } };
  const save = useAct(
    touches.template,
    () =>
      told(
        api.PATCH('/api/form-templates/{id}', {
          ...path,
          body: { name, offered, reasons: wanted, mapping, version: template.version },
        }),
      ),
    onDone,
  );
  const replace = useAct(touches.template, (file: File) => {
    const body = new FormData();
    body.append('version', String(template.version));
    body.append('file', file, file.name);
    return told(api.POST('/api/form-templates/{id}/file', { ...path, body: { file: '' }, bodySerializer: () => body }));
  });
  const places = Object.keys(save.error?.errors ?? {}).filter((place) => /^(name$|mapping\.)/.test(place));
  return (
    <form
      aria-label={`Settings of ${template.name}`}
      className="space-y-4"
      onSubmit={(event) => {
        event.preventDefault();
        save.mutate(undefined);
      }}
    >
      <div className="flex flex-wrap items-start gap-4">
        <Field label="Name" className="w-72" error={save.error?.at('name')}>
          <Input value={name} onChange={(event) => setName(event.target.value)} />
        </Field>
        <label className="mt-7 flex items-center gap-2">
          <input type="checkbox" checked={offered} onChange={(event) => setOffered(event.target.checked)} />
          Offered
        </label>
        <div className="mt-0.5">
          <label htmlFor={id} className="block text-sm font-medium text-soft">
            Another file in place of {template.file_name}; issued forms are then refused
          </label>
          <FileInput id={id} accept=".docx" onFile={replace.mutate} />
          {replace.error && <p className="text-sm text-alarm">▸ {replace.error.message}</p>}
        </div>
      </div>
      <fieldset>
        <legend className="text-sm font-medium text-soft">Offer for these reasons (none ticked: all)</legend>
        {Object.entries(allOf('reason')).map(([reason, word]) => (
          <label key={reason} className="mr-4 inline-flex items-center gap-1.5">
            <input
              type="checkbox"
              checked={wanted.includes(reason)}
              onChange={(event) =>
                setWanted(event.target.checked ? [...wanted, reason] : wanted.filter((one) => one !== reason))
              }
            />
            {word}
          </label>
        ))}
      </fieldset>
      <DataTable
        label="Tag mapping"
        exportName={`tags-of-${template.name}`}
        rows={mapping}
        columns={tagColumns({
          controls: template.controls,
          onChange: (next) => setMapping(mapping.map((one) => (one.tag === next.tag ? next : one))),
          error: (row, place) => save.error?.at(`mapping.${mapping.indexOf(row)}.${place}`),
        })}
        keyOf={({ tag }) => tag}
        fixedOrder
        rowHeight={null}
        empty="The template has no tag."
      />
      <ProblemNotice problem={save.error} shown={places} />
      <span className="flex gap-2">
        <Button type="submit" look="main" busy={save.isPending}>
          Save
        </Button>
        <Button look="quiet" onClick={onDone}>
          Cancel
        </Button>
      </span>
    </form>
  );
}
