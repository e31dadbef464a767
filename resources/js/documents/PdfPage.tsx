import { getDocument, GlobalWorkerOptions, type PDFDocumentProxy } from 'pdfjs-dist';
import Reader from 'pdfjs-dist/build/pdf.worker.min.mjs?worker';
import { useEffect, useRef, useState } from 'react';

// Reading is done beside the page, so that a large file does not hold it up.
GlobalWorkerOptions.workerPort = new Reader();

interface Props {
  address: string;
  page: number;
  /** How large it is drawn, so that it stays sharp when zoomed in. */
  scale: number;
  onPages: (pages: number) => void;
  onWrong: (reason: string) => void;
}

/** One page of a PDF, drawn here: nothing that the file carries is ever run. */
export function PdfPage({ address, page, scale, onPages, onWrong }: Props) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const [file, setFile] = useState<PDFDocumentProxy | null>(null);
  const [text, setText] = useState('');
  const sharp = Math.min(4, Math.max(1.5, Math.ceil(scale * 1.5)));

  useEffect(() => {
    const task = getDocument({ url: address, enableXfa: false });
    let left = false;
    task.promise.then(
      (read) => {
        if (left) return;
        setFile(read);
        onPages(read.numPages);
      },
      () => !left && onWrong('This PDF cannot be shown. Download it and open it with another program.'),
    );
    return () => {
      left = true;
      void task.destroy();
    };
    // A file is read once; what it tells goes to whoever asked first.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [address]);

  useEffect(() => {
    const target = canvas.current;
    if (!file || !target) return;
    const left = new AbortController();
    const gone = () => left.signal.aborted;
    let stop = () => {};
    void (async () => {
      const drawn = await file.getPage(page);
      if (gone()) return;
      const viewport = drawn.getViewport({ scale: sharp });
      target.width = viewport.width;
      target.height = viewport.height;
      const rendering = drawn.render({ canvas: target, viewport });
      stop = () => rendering.cancel();
      // A drawing that is broken off because another page is wanted is no fault.
      await rendering.promise.catch(() => undefined);
      const content = await drawn.getTextContent();
      if (!gone()) setText(content.items.map((item) => ('str' in item ? item.str : '')).join(' '));
    })();
    return () => {
      left.abort();
      stop();
    };
  }, [file, page, sharp]);

  return (
    <>
      <canvas ref={canvas} aria-hidden className="block w-full bg-white" />
      <p className="sr-only">{text}</p>
    </>
  );
}
