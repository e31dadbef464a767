import { SaveAs } from '../../ui/SaveAs';

interface Props {
  /** Where the sheet is had. */
  address: string;
  /** Null: it may not be read back. */
  onFile: ((file: File) => void) | null;
  formats?: ('xlsx' | 'csv' | 'json')[];
}

/** Takes the work away as a sheet, and reads it back. */
export function SheetButtons({ address, onFile, formats = ['xlsx', 'csv'] }: Props) {
  return (
    <>
      <SaveAs address={address} query="" formats={formats} />
      {onFile && (
        <label className="cursor-pointer text-accent underline-offset-3 focus-within:underline hover:underline">
          Import edited sheet
          <input
            type="file"
            aria-label="Import edited sheet"
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
