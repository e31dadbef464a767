import { useId, useState } from 'react';
import { api, told, type Schemas } from '../lib/api';
import { moment } from '../lib/format';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { Button } from '../ui/Button';
import { ProblemNotice } from '../ui/Notice';
import { FileInput } from '../ui/FileInput';
import { Proposals } from './Proposals';

type Preview = Schemas['FormPreview'];

/** Sends a form; what is sent is the form body, the body beside it only satisfies the description. */
function sent(file: File, more: Record<string, string | string[]> = {}) {
  const body = new FormData();
  body.append('file', file, file.name);
  for (const [name, value] of Object.entries(more)) {
    for (const one of [value].flat()) body.append(Array.isArray(value) ? `${name}[]` : name, one);
  }
  return { body: { file: '' }, bodySerializer: () => body };
}

/** A form that came back: first what it would do, then, as far as it is chosen, it is done. */
export function ReturnedForm({ number }: { number: string }) {
  const id = useId();
  const [file, setFile] = useState<File | null>(null);
  const [preview, setPreview] = useState<Preview | null>(null);
  const [left, setLeft] = useState<string[]>([]);
  const path = { params: { path: { number } } };
  const look = useAct(
    touches.nothing,
    (one: File) => told(api.POST('/api/requests/{number}/returned-form', { ...path, ...sent(one) })),
    (found) => {
      setPreview(found);
      setLeft(found.proposals.filter(({ fault }) => fault !== null).map(({ tag }) => tag));
    },
  );
  const chosen = (preview?.proposals ?? []).map(({ tag }) => tag).filter((tag) => !left.includes(tag));
  const leave = () => {
    setFile(null);
    setPreview(null);
    take.reset();
  };
  const take = useAct(
    touches.request,
    (one: File) =>
      told(
        api.POST('/api/requests/{number}/returned-form/taken', {
          ...path,
          ...sent(one, { tags: chosen, version: String(preview?.version) }),
        }),
      ),
    () => {
      setFile(null);
      setPreview(null);
    },
  );
  const begin = (one: File) => {
    setFile(one);
    setPreview(null);
    take.reset();
    look.mutate(one);
  };
  return (
    <section
      aria-labelledby={`${id}-head`}
      onDragOver={(event) => event.preventDefault()}
      onDrop={(event) => {
        event.preventDefault();
        const dropped = event.dataTransfer.files[0];
        if (dropped) begin(dropped);
      }}
    >
      <h2 id={`${id}-head`}>Import a returned form</h2>
      <div className="mt-1 flex flex-wrap items-center gap-3">
        <label htmlFor={id}>Drop the form that came back here, or choose it</label>
        <FileInput id={id} accept=".docx" onFile={begin} />
      </div>
      <div className="mt-2 space-y-2">
        <ProblemNotice problem={look.error ?? take.error} />
        {look.isPending && <p role="status">Reading {file?.name} …</p>}
        {preview && file && (
          <div className="border-y border-strong bg-sheet px-3 py-2">
            <p>
              <span className="font-mono text-sm">{preview.number}</span> {preview.template}, issued{' '}
              {moment(preview.handed_at)}. Nothing is done yet.
            </p>
            {preview.proposals.length === 0 ? (
              <p className="mt-1 text-soft">Nothing is written in it that is not in the record already.</p>
            ) : (
              <Proposals
                rows={preview.proposals}
                left={left}
                onLeave={(tag, out) => setLeft(out ? [...left, tag] : left.filter((one) => one !== tag))}
              />
            )}
            <div className="mt-2 flex gap-2">
              <Button look="main" busy={take.isPending} onClick={() => take.mutate(file)}>
                {chosen.length === 0 ? 'File it, change nothing' : `Import ${chosen.length}`}
              </Button>
              <Button look="quiet" onClick={leave}>
                Cancel
              </Button>
              {take.error?.status === 409 && <Button onClick={() => look.mutate(file)}>Check again</Button>}
            </div>
          </div>
        )}
      </div>
    </section>
  );
}
