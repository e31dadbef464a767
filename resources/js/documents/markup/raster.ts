/** A sheet as a picture: what one draws over, and what is saved beneath the marks. */
export interface Raster {
  image: string;
  width: number;
  height: number;
}

const WIDTH = 1600;

/** Reads one page of a sheet as a picture. Nothing that the file carries is run: it is drawn. */
export async function rasterOf(address: string, mediaType: string, page: number): Promise<Raster & { pages: number }> {
  const canvas = document.createElement('canvas');
  if (mediaType === 'application/pdf') {
    const [{ getDocument, GlobalWorkerOptions }, { default: Reader }] = await Promise.all([
      import('pdfjs-dist'),
      import('pdfjs-dist/build/pdf.worker.min.mjs?worker'),
    ]);
    GlobalWorkerOptions.workerPort ??= new Reader();
    const task = getDocument({ url: address, enableXfa: false });
    const file = await task.promise;
    const drawn = await file.getPage(page);
    const viewport = drawn.getViewport({ scale: WIDTH / drawn.getViewport({ scale: 1 }).width });
    canvas.width = viewport.width;
    canvas.height = viewport.height;
    await drawn.render({ canvas, viewport }).promise;
    const pages = file.numPages;
    await task.destroy();
    return { ...picture(canvas), pages };
  }
  const image = await load(address);
  canvas.width = WIDTH;
  canvas.height = Math.round((WIDTH * image.naturalHeight) / Math.max(1, image.naturalWidth));
  const context = canvas.getContext('2d');
  if (context) {
    context.fillStyle = '#fff';
    context.fillRect(0, 0, canvas.width, canvas.height);
    context.drawImage(image, 0, 0, canvas.width, canvas.height);
  }
  return { ...picture(canvas), pages: 1 };
}

/** An SVG that carries all it shows, as a PNG. */
export async function pngOf(svg: string, width: number, height: number): Promise<Blob> {
  const address = URL.createObjectURL(new Blob([svg], { type: 'image/svg+xml' }));
  try {
    const canvas = document.createElement('canvas');
    canvas.width = width;
    canvas.height = height;
    canvas.getContext('2d')?.drawImage(await load(address), 0, 0, width, height);
    return await new Promise((resolve, reject) =>
      canvas.toBlob((blob) => (blob ? resolve(blob) : reject(new Error('The picture is too large.'))), 'image/png'),
    );
  } finally {
    URL.revokeObjectURL(address);
  }
}

/** A PNG as the only page of a PDF, as large as an A3 sheet is wide. */
export async function pdfOf(png: Blob, width: number, height: number): Promise<Blob> {
  const { PDFDocument } = await import('pdf-lib');
  const file = await PDFDocument.create();
  const image = await file.embedPng(await png.arrayBuffer());
  const across = 1190;
  const page = file.addPage([across, (across * height) / width]);
  page.drawImage(image, { x: 0, y: 0, width: across, height: (across * height) / width });
  return new Blob([new Uint8Array(await file.save())], { type: 'application/pdf' });
}

function picture(canvas: HTMLCanvasElement): Raster {
  return { image: canvas.toDataURL('image/jpeg', 0.85), width: canvas.width, height: canvas.height };
}

function load(address: string): Promise<HTMLImageElement> {
  return new Promise((resolve, reject) => {
    const image = new Image();
    image.onload = () => resolve(image);
    image.onerror = () => reject(new Error('The sheet cannot be drawn.'));
    image.src = address;
  });
}
