import { useId } from 'react';
import { Button } from './Button';
import { FileInput } from './FileInput';

interface Props {
  files: File[];
  onChange: (files: File[]) => void;
  /** What was refused of the one at this place. */
  error: (at: number) => string | undefined;
}

/** Files that go with what is said: chosen one after another, taken off again before it is sent. */
export function FilesToSay({ files, onChange, error }: Props) {
  const id = useId();
  return (
    <div className="space-y-1">
      {files.length > 0 && (
        <ul aria-label="Files to send">
          {files.map((file, at) => (
            <li key={`${file.name} ${at}`} className="flex flex-wrap items-baseline gap-x-2">
              {file.name}
              <Button
                look="quiet"
                className="!h-6 !px-1"
                aria-label={`Take ${file.name} off`}
                onClick={() => onChange(files.filter((_, i) => i !== at))}
              >
                Remove
              </Button>
              {error(at) !== undefined && <span className="text-sm text-alarm">▸ {error(at)}</span>}
            </li>
          ))}
        </ul>
      )}
      <label htmlFor={id} className="mr-2 text-sm text-soft">
        Add a file
      </label>
      <FileInput id={id} accept=".svg,.pdf,.png,.jpg,.jpeg" onFile={(file) => onChange([...files, file])} />
    </div>
  );
}

/** What is said, as the server takes it: a form where files come with it. */
export function saidBody<T extends Record<string, string>>(said: T, files: File[]) {
  if (files.length === 0) return { body: said };
  const form = new FormData();
  for (const [name, text] of Object.entries(said)) form.append(name, text);
  for (const file of files) form.append('files[]', file, file.name);
  // What is sent is the form; the body beside it only satisfies the description.
  return { body: said, bodySerializer: () => form };
}
