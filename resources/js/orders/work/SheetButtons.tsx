import { SaveAs } from '../../ui/SaveAs';

interface Props {
  /** Where the sheet is had. */
  address: string;
  /** Null: it may not be read back. */
  onFile: ((file: File) => void) | null;
  formats?: ('xlsx' | 'csv' | 'json')[];
  /** What taking it away and reading it back are called. */
  labels?: { save: string; read: string };
}

const EDITED = { save: 'Save as', read: 'Import edited sheet' };

/** Takes the work away as a sheet, and reads it back. */
export function SheetButtons({ address, onFile, formats = ['xlsx', 'csv'], labels = EDITED }: Props) {
  return (
    <>
      <SaveAs address={address} query="" formats={formats} label={labels.save} />
      {onFile && (
        <label className="cursor-pointer text-accent underline-offset-3 focus-within:underline hover:underline">
          {labels.read}
          <input
            type="file"
            aria-label={labels.read}
            accept={formats.map((format) => `.${format}`).join(',')}
            className="sr-only"
            onChange={(event) => {
              const file = event.target.files?.[0];
              event.target.value = '';
              if (file) onFile(file);
            }}
          />
        </label>
      )}
    </>
  );
}
