import type { Schemas } from '../lib/api';
import { nameOf } from '../lib/choices';
import { standings } from '../lib/words';
import { DataTable, type Column } from '../ui/DataTable';
import { itemColumn } from '../ui/table/columns';

type Row = Schemas['AssessmentPage']['grid'][number];

const cellOf = (row: Row, key: string) => row.functions.find((one) => one.function === key);
const wordsOf = (row: Row, key: string) => {
  const cell = cellOf(row, key);
  return cell === undefined ? '' : [standings[cell.standing].word, ...cell.by].join(', ');
};

const columns = (functions: string[]): Column<Row>[] => [
  itemColumn(({ item }) => item),
  ...functions.map((key): Column<Row> => ({
    id: key,
    head: nameOf('function', key),
    text: (row) => wordsOf(row, key),
    cell: (row) => {
      const cell = cellOf(row, key);
      if (cell === undefined) return null;
      const { sign, word, look } = standings[cell.standing];
      return (
        <span className={look}>
          <span aria-hidden="true">{sign}</span> {word}
          {cell.by.length > 0 && <span className="block font-normal text-soft">{cell.by.join(', ')}</span>}
        </span>
      );
    },
  })),
];

const whole = (functions: string[]) => [
  { head: 'Item', text: ({ item }: Row) => item.number },
  { head: 'Title', text: ({ item }: Row) => item.title },
  ...functions.map((key) => ({ head: nameOf('function', key), text: (row: Row) => wordsOf(row, key) })),
];

/** Affected items by function: who answered, who is waited for. */
export function Grid({ grid }: { grid: Row[] }) {
  const functions = grid[0]?.functions.map((one) => one.function) ?? [];
  return (
    <DataTable
      label="Affected items by function"
      exportName="items-by-function"
      rows={grid}
      columns={columns(functions)}
      whole={whole(functions)}
      keyOf={({ item }) => item.number}
      rowHeight={48}
      empty="No item is affected."
    />
  );
}
