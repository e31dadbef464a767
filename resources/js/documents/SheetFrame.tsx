import { lazy, Suspense, useState } from 'react';
import type { Schemas } from '../lib/api';
import { Notice } from '../ui/Notice';
import { MarksOver } from './marks/MarksOver';
import { PageTurner } from './PageTurner';
import { PanFrame } from './PanFrame';
import { Stamp } from './Stamp';

const PdfPage = lazy(async () => ({ default: (await import('./PdfPage')).PdfPage }));

interface Props {
  file: Schemas['FileRow'];
  title: string;
  revision: Schemas['RevisionRow'] | undefined;
  page: number;
  onPage: (page: number) => void;
}

/** A sheet one can move and enlarge. A picture is drawn as a picture: scripts in it are never run. */
export function SheetFrame({ file, title, revision, page, onPage }: Props) {
  const [pages, setPages] = useState(1);
  const [wrong, setWrong] = useState('');
  const address = `/api/files/${file.id}`;
  const turn = (to: number) => onPage(Math.max(1, Math.min(pages, to)));
  const tools = (
    <>
      <PageTurner page={page} pages={pages} onTurn={turn} />
      <span className="ml-auto flex items-center gap-4">
        <button type="button" className="text-accent hover:underline" onClick={() => window.print()}>
          Print with history
        </button>
        <a href={address} download className="text-accent hover:underline">
          Download
        </a>
      </span>
    </>
  );
  const show = (scale: number) => (
    <>
      {file.media_type === 'application/pdf' ? (
        <Suspense fallback={<p className="p-6 text-soft">Reading the file</p>}>
          <PdfPage address={address} page={page} scale={scale} onPages={setPages} onWrong={setWrong} />
        </Suspense>
      ) : (
        <img src={address} alt={title} draggable={false} className="block w-full bg-white" />
      )}
      <MarksOver file={file.id} page={page} scale={scale} />
      <Stamp file={file} revision={revision} />
    </>
  );
  return (
    <>
      {wrong !== '' && <Notice look="alarm">{wrong}</Notice>}
      <PanFrame
        panes={[{ label: title, show }]}
        tools={tools}
        keys={{ PageDown: () => turn(page + 1), PageUp: () => turn(page - 1) }}
      />
    </>
  );
}
