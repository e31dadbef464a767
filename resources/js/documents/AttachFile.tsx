import clsx from 'clsx';
import { useId, useState, type DragEvent } from 'react';
import { api, told, type Schemas } from '../lib/api';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { Select } from '../ui/Select';
import { roles } from './files';
import { FileInput } from '../ui/FileInput';

type Role = keyof typeof roles;

/** Brings a file to an item: dropped here, or chosen. */
export function AttachFile({ item }: { item: Schemas['ItemRow'] }) {
  const id = useId();
  const drawn = item.kind === 'Drawing' || item.kind === 'Document';
  const [role, setRole] = useState<Role>(drawn ? 'sheet' : 'data_sheet');
  const [over, setOver] = useState(false);
  const attach = useAct(touches.document, (file: File) => {
    const body = new FormData();
    body.append('role', role);
    body.append('file', file);
    // What is sent is the form; the body beside it only satisfies the description.
    return told(
      api.POST('/api/items/{number}/files', {
        params: { path: { number: item.number } },
        body: { role, file: '' },
        bodySerializer: () => body,
      }),
    );
  });
  const onDrop = (event: DragEvent) => {
    event.preventDefault();
    setOver(false);
    const file = event.dataTransfer.files[0];
    if (file) attach.mutate(file);
  };
  return (
    <div
      onDragOver={(event) => {
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={onDrop}
      className={clsx(
        'no-print mt-2 flex flex-wrap items-center gap-3 border border-dashed px-3 py-2 text-sm',
        over ? 'border-accent bg-accent-soft' : 'border-strong',
      )}
    >
      <label htmlFor={id}>{attach.isPending ? 'Uploading' : 'Drop a file here, or choose one'}</label>
      <FileInput
        id={id}
        accept={role === 'model' ? '.stp,.step,.p21' : '.svg,.pdf,.png,.jpg,.jpeg'}
        disabled={attach.isPending}
        onFile={attach.mutate}
      />
      <span className="flex items-center gap-2">
        as
        <Select aria-label="File role" className="!w-32" value={role} onChange={setRole} options={roles} />
      </span>
      {attach.error && <p className="w-full text-alarm">▸ {attach.error.message}</p>}
    </div>
  );
}
