import { useEffect, useRef, useState } from 'react';
import { Notice } from '../../ui/Notice';
import { laidOver } from './laidOver';

interface Props {
  /** Addresses of the page of both sheets, drawn as pictures at the same scale; null: that sheet has no such page. */
  before: { address: string; share: number } | null;
  after: { address: string; share: number } | null;
  how: 'over' | 'differences';
  width: number;
  alt: string;
}

/** A page of two sheets in one picture. */
export function LaidOver({ before, after, how, width, alt }: Props) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const [wrong, setWrong] = useState(false);
  const [old, young] = [before?.address, after?.address];
  const [oldShare, youngShare] = [before?.share ?? 1, after?.share ?? 1];
  useEffect(() => {
    const left = new AbortController();
    const gone = () => left.signal.aborted;
    void (async () => {
      try {
        const pages = await Promise.all([
          old === undefined ? null : picture(old, Math.round(width * oldShare)),
          young === undefined ? null : picture(young, Math.round(width * youngShare)),
        ]);
        const target = canvas.current;
        const [was, is] = pages.map((page) => page ?? { width: 0, height: 0, data: new Uint8ClampedArray() });
        if (gone() || !target || !was || !is) return;
        target.width = Math.max(was.width, is.width);
        target.height = Math.max(was.height, is.height);
        const pen = target.getContext('2d');
        const into = pen?.createImageData(target.width, target.height);
        if (!pen || !into) return;
        laidOver(was, is, how, into);
        pen.putImageData(into, 0, 0);
      } catch {
        if (!gone()) setWrong(true);
      }
    })();
    return () => left.abort();
  }, [old, young, oldShare, youngShare, how, width]);
  return wrong ? (
    <Notice look="alarm">A page cannot be drawn. Open both files as they were uploaded.</Notice>
  ) : (
    <canvas ref={canvas} role="img" aria-label={alt} className="block w-full bg-white" />
  );
}

async function picture(address: string, width: number): Promise<ImageData> {
  const image = new Image();
  image.src = address;
  await image.decode();
  const canvas = document.createElement('canvas');
  canvas.width = width;
  canvas.height = Math.max(1, Math.round((width * image.naturalHeight) / image.naturalWidth));
  const pen = canvas.getContext('2d', { willReadFrequently: true });
  if (!pen) throw new Error('This browser does not draw.');
  pen.drawImage(image, 0, 0, canvas.width, canvas.height);
  return pen.getImageData(0, 0, canvas.width, canvas.height);
}
