import type { Schemas } from '../lib/api';

type File = Schemas['FileRow'];

/** What a file is to its item. */
export const roles = { sheet: 'Sheet', model: 'Design model', data_sheet: 'Data sheet', picture: 'Picture' } as const;

/** The one to show first: that of what is in force, or else the newest there is. A model is no sheet, nor the other way round. */
export function firstOf(files: File[], role: 'sheet' | 'model' = 'sheet'): File | undefined {
  const shown = files.filter((file) => (file.role === 'model') === (role === 'model'));
  return shown.find((file) => file.role === role && file.status === 'in_force') ?? shown[0];
}

/** Whether what a file belongs to has held and does not any more. */
export function ended(status: string): boolean {
  return status === 'superseded' || status === 'obsolete';
}
