import type { Schemas } from '../lib/api';

type File = Schemas['FileRow'];

/** What a file is to its item. */
export const roles = { sheet: 'Sheet', data_sheet: 'Data sheet', picture: 'Picture' } as const;

/** The one to show first: the sheet of what is in force, or else the newest there is. */
export function firstOf(files: File[]): File | undefined {
  return files.find((file) => file.role === 'sheet' && file.status === 'in_force') ?? files[0];
}

/** Whether what a file belongs to has held and does not any more. */
export function ended(status: string): boolean {
  return status === 'superseded' || status === 'obsolete';
}
