import type { Schemas } from '../lib/api';
import { functions, standings } from '../lib/words';
import { ItemNumber } from '../ui/Num';
import { TableExport } from '../ui/TableExport';

type Row = Schemas['AssessmentPage']['grid'][number];

const told = [
  { head: 'Item', text: ({ item }: Row) => item.number },
  { head: 'Title', text: ({ item }: Row) => item.title },
  ...Object.entries(functions).map(([key, head]) => ({
    head,
    text: (row: Row) =>
      row.functions
        .filter((one) => one.function === key)
        .map(({ standing, by }) => [standings[standing].word, ...by].join(', '))
        .join(''),
  })),
];

/** Affected items by function: who answered, who is waited for. */
export function Grid({ grid }: { grid: Schemas['AssessmentPage']['grid'] }) {
  return (
    <div>
      <table
        aria-label="Affected items by function"
        className="w-full border-collapse border-y border-strong bg-sheet text-sm"
      >
        <thead>
          <tr className="border-b border-strong text-left text-soft">
            <th className="px-2 py-1 font-medium">Item</th>
            {Object.values(functions).map((name) => (
              <th key={name} className="px-2 py-1 font-medium">
                {name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {grid.map(({ item, functions: cells }) => (
            <tr key={item.number} className="border-t border-rule align-top">
              <th scope="row" className="px-2 py-1 text-left font-normal">
                <ItemNumber number={item.number} /> {item.title}
              </th>
              {cells.map((cell) => {
                const { sign, word, look } = standings[cell.standing];
                return (
                  <td key={cell.function} className={`px-2 py-1 ${look}`}>
                    <span aria-hidden="true">{sign}</span> {word}
                    {cell.by.length > 0 && <span className="block font-normal text-soft">{cell.by.join(', ')}</span>}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
      <div className="pt-0.5 text-right text-sm">
        <TableExport name="items-by-function" columns={told} rows={() => Promise.resolve(grid)} />
      </div>
    </div>
  );
}
