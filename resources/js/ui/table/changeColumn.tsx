import { Button } from '../Button';
import type { Column } from './Column';
import { actsColumn } from './columns';

/** Opens the form that changes a row; while it is open it is not opened again. */
export function changeColumn<Row extends { code: string; name: string }>(
  open: string | null,
  setOpen: (code: string) => void,
): Column<Row> {
  return actsColumn((row) => (
    <Button
      look="quiet"
      className="!h-6"
      aria-label={`Change ${row.name}`}
      disabled={row.code === open}
      onClick={() => setOpen(row.code)}
    >
      Change
    </Button>
  ));
}
