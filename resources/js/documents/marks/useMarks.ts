import { api, told } from '../../lib/api';
import { touches } from '../../lib/touches';
import { useAct } from '../../lib/useAct';

interface NewMark {
  page: number;
  note: string;
  /** Where it is in shares of the page, or in the middle of which zone. */
  left?: number;
  top?: number;
  zone?: string;
}

/** Sets marks of change on a sheet, and takes them off. */
export function useMarks(file: string) {
  const set = useAct(touches.sheetMark, (mark: NewMark) =>
    told(api.POST('/api/files/{id}/marks', { params: { path: { id: file } }, body: mark })),
  );
  const remove = useAct(touches.sheetMark, (mark: number) =>
    told(api.DELETE('/api/files/{id}/marks/{mark}', { params: { path: { id: file, mark: String(mark) } } })),
  );
  return { set, remove };
}
