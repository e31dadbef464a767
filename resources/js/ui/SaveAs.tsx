import { DropdownMenu } from 'radix-ui';

interface Props {
  /** Where the file is had, without its format. */
  address: string;
  query: string;
  formats: ('csv' | 'xlsx' | 'json' | 'pdf')[];
  label?: string;
}

const names = { csv: 'CSV', xlsx: 'XLSX, for spreadsheets', json: 'JSON', pdf: 'PDF, to print' };

/** What is on screen, as a file. */
export function SaveAs({ address, query, formats, label = 'Save as' }: Props) {
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger className="text-accent hover:underline">{label} ▾</DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content align="end" className="z-50 border border-strong bg-sheet shadow-md">
          {formats.map((format) => (
            <DropdownMenu.Item key={format} asChild>
              <a
                href={`${address}/${format}?${query}`}
                download
                className="flex h-8 items-center px-3 outline-none data-highlighted:bg-accent-soft"
              >
                {names[format]}
              </a>
            </DropdownMenu.Item>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
