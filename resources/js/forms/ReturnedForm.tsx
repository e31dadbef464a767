import { useId, useState } from 'react';
import { api, told, type Schemas } from '../lib/api';
import { day, moment } from '../lib/format';
import { useAct } from '../lib/useAct';
import { functions, priorities, reasons, sites, sources, tagUses } from '../lib/words';
import { Button } from '../ui/Button';
import { ProblemNotice } from '../ui/Notice';
import { FileInput } from '../ui/FileInput';

type Preview = Schemas['FormPreview'];
type Proposal = Schemas['ProposalRow'];

const words: Record<string, string> = { ...priorities, ...reasons, ...sources, ...sites };

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

interface ProposalsProps {
  rows: Proposal[];
  left: string[];
  onLeave: (tag: string, out: boolean) => void;
}

function Proposals({ rows, left, onLeave }: ProposalsProps) {
  return (
    <table aria-label="What it will do" className="mt-2 w-full border-collapse">
      <thead>
        <tr className="border-b border-strong text-left text-sm text-soft">
          {['Take', 'What it does', 'Field of the form', 'Becomes'].map((head) => (
            <th key={head} className="py-1 pr-4 font-medium">
              {head}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map((row) => (
          <tr key={row.tag} className="border-b border-rule align-top">
            <td className="py-1 pr-4">
              <input
                type="checkbox"
                aria-label={`Import: ${row.label}`}
                checked={!left.includes(row.tag)}
                disabled={row.fault !== null}
                onChange={(event) => onLeave(row.tag, !event.target.checked)}
              />
            </td>
            <td className="py-1 pr-4 whitespace-nowrap">{tagUses[row.use]}</td>
            <td className="py-1 pr-4">{row.label}</td>
            <td className="py-1 whitespace-pre-line">
              {row.use === 'field' && (
                <>
                  <del className="text-soft">{words[row.before] ?? row.before}</del> →{' '}
                </>
              )}
              {row.use === 'field' ? (words[row.after] ?? row.after) : row.after}
              {row.use === 'attachment' && 'The picture in the form'}
              {row.use === 'question' && (
                <p className="text-sm text-soft">
                  {row.function != null && functions[row.function]}, put to {row.asked}
                  {row.item !== '' && (
                    <>
                      , about <span className="font-mono">{row.item}</span>
                    </>
                  )}
                  {row.due_on !== null && `, by ${day(row.due_on)}`}
                </p>
              )}
              {row.fault !== null && <p className="text-sm text-alarm">▸ {row.fault}</p>}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
