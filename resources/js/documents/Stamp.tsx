import { day } from '../lib/format';
import type { Schemas } from '../lib/api';
import { ended } from './files';

/** What lies over the face of a sheet that is not what applies: nobody may take a draft for a released one. */
export function Stamp({ file, revision }: { file: Schemas['FileRow']; revision: Schemas['RevisionRow'] | undefined }) {
  const words =
    file.revision === null
      ? ['Draft', `not released${file.order === null ? '' : `, ${file.order}`}`]
      : file.status === 'coming'
        ? ['Not in force yet', `valid from ${day(file.first_day)}`]
        : ended(file.status)
          ? [file.status === 'superseded' ? 'Superseded' : 'Obsolete', `valid until ${day(revision?.last_day ?? null)}`]
          : null;
  if (words === null || file.role !== 'sheet') return null;
  return (
    <div
      aria-hidden
      className="pointer-events-none absolute inset-0 flex flex-col justify-around overflow-hidden text-center select-none"
    >
      {[0, 1, 2].map((row) => (
        <div key={row} className="sheet-stamp">
          <b>{words[0]}</b>
          <span>{words[1]}</span>
        </div>
      ))}
    </div>
  );
}
