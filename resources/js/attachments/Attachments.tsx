import { useId } from 'react';
import { api, told, type Schemas } from '../lib/api';
import { moment } from '../lib/format';
import { useMay, useMe } from '../lib/session';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { attachmentRoles } from '../lib/words';
import { Button } from '../ui/Button';
import { FileInput } from '../ui/FileInput';
import { Person } from '../ui/Person';

interface Props {
  /** What they belong to; nothing can be brought when it is settled. */
  to: { report: string } | { request: string };
  files: Schemas['ChangeFileRow'][];
  open: boolean;
}

/** Evidence, mark-ups and forms: shown, brought by dropping or choosing, taken away again by whoever brought them. */
export function Attachments({ to, files, open }: Props) {
  const id = useId();
  const me = useMe();
  const mayBring = useMay('report_problem');
  const bring = useAct(touches.attachment, (file: File) => bringFile(to, 'evidence', file, file.name));
  const takeAway = useAct(touches.attachment, (file: string) =>
    told(api.DELETE('/api/change-files/{id}', { params: { path: { id: file } } })),
  );
  if (files.length === 0 && !(open && mayBring)) return null;
  return (
    <section
      aria-label={`Files of ${'report' in to ? to.report : to.request}`}
      onDragOver={(event) => event.preventDefault()}
      onDrop={(event) => {
        event.preventDefault();
        const file = event.dataTransfer.files[0];
        if (file && open && mayBring) bring.mutate(file);
      }}
    >
      {files.length > 0 && (
        <ul className="border-y border-rule bg-sheet text-sm">
          {files.map((file) => (
            <li key={file.id} className="flex items-center gap-3 border-t border-rule px-2 py-1 first:border-t-0">
              <span className="w-20 text-soft">{attachmentRoles[file.role]}</span>
              <a
                href={`/api/change-files/${file.id}`}
                target="_blank"
                rel="noreferrer"
                className="text-accent underline"
              >
                {file.name}
              </a>
              <span className="ml-auto text-soft">
                <Person name={file.brought_by} />, {moment(file.brought_at)}
              </span>
              {open && file.brought_by_login === me.login && file.role !== 'form' && (
                <Button
                  look="quiet"
                  className="!h-6"
                  aria-label={`Remove file ${file.name}`}
                  onClick={() => takeAway.mutate(file.id)}
                >
                  Remove file
                </Button>
              )}
            </li>
          ))}
        </ul>
      )}
      {open && mayBring && (
        <div className="no-print mt-1 flex flex-wrap items-center gap-3 text-sm">
          <label htmlFor={id}>Drop evidence here, or choose a file</label>
          <FileInput id={id} accept=".svg,.pdf,.png,.jpg,.jpeg" onFile={bring.mutate} />
          {(bring.error ?? takeAway.error) && (
            <p className="w-full text-alarm">▸ {(bring.error ?? takeAway.error)?.message}</p>
          )}
        </div>
      )}
    </section>
  );
}

/** Sends a file to a report or a request. */
export async function bringFile(
  to: Props['to'],
  role: 'evidence' | 'mark_up',
  file: Blob,
  name: string,
): Promise<void> {
  const body = new FormData();
  body.append('role', role);
  body.append('file', file, name);
  // What is sent is the form; the body beside it only satisfies the description.
  const form = { body: { role, file: '' }, bodySerializer: () => body };
  await ('report' in to
    ? told(api.POST('/api/reports/{number}/files', { params: { path: { number: to.report } }, ...form }))
    : told(api.POST('/api/requests/{number}/files', { params: { path: { number: to.request } }, ...form })));
}
