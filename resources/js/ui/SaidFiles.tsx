import type { Schemas } from '../lib/api';

/** Files that came with what somebody said. */
export function SaidFiles({ files }: { files: Schemas['SaidFileRow'][] }) {
  if (files.length === 0) return null;
  return (
    <ul aria-label="Files" className="flex flex-wrap gap-x-4">
      {files.map((file) => (
        <li key={file.id}>
          <a href={`/api/said-files/${file.id}`} target="_blank" rel="noreferrer" className="text-accent underline">
            {file.name}
          </a>
        </li>
      ))}
    </ul>
  );
}
