import { keepPreviousData, useQuery } from '@tanstack/react-query';
import type { Schemas } from '../lib/api';
import { amount, day, quantity, signed } from '../lib/format';
import { queries } from '../lib/queries';
import { Loading } from '../ui/Loading';

type Row = Schemas['CutInRow'];

const words: Record<Row['what'], (row: Row) => string> = {
  stock: () => 'On the shelf today',
  receipt: (row) => (row.part === 'cancellation' ? 'Cancelled receipt' : 'Incoming receipt'),
  order: (row) => (row.part === 'straddling' ? 'Work order in progress' : 'Order that uses it'),
  planned: () => 'To be ordered',
  sale: () => 'Sold as a part',
  expediting: () => 'Expedited order',
  rest: (row) => row.document,
};

interface Props {
  question: Schemas['CutInQuestion'];
  on: string;
  part: Row['part'];
}

/** What a part of the cost of one day is made of, down to the single order. */
export function CostRows({ question, on, part }: Props) {
  const rows = useQuery({ ...queries.cutInRows(question, on), placeholderData: keepPreviousData });
  return (
    <Loading query={rows}>
      {(all) => {
        const mine = all.filter((row) => row.part === part);
        if (mine.length === 0) return <p className="px-2 py-1 text-sm text-soft">Nothing on this day.</p>;
        return (
          <ul className="text-sm">
            {mine.map((row, at) => (
              <li key={`${row.document} ${row.item} ${at}`} className="flex gap-3 px-2 py-0.5">
                <span className="grow">
                  {words[row.what](row)}
                  {row.is_new && ', of the new part'}{' '}
                  {row.what !== 'rest' && <span className="font-mono">{row.document}</span>}{' '}
                  {row.title !== '' && row.what !== 'sale' && (
                    <span className="text-soft">
                      for <span className="font-mono">{row.item}</span> {row.title}
                    </span>
                  )}
                  {row.on !== null && <span className="text-soft"> {day(row.on)}</span>}
                </span>
                {row.quantity !== '' && (
                  <span className="whitespace-nowrap text-soft">
                    {quantity(row.quantity)} {row.unit}
                  </span>
                )}
                <span className="w-20 text-right">
                  {part === 'recurring' ? signed(row.amount) : amount(row.amount)}
                </span>
              </li>
            ))}
          </ul>
        );
      }}
    </Loading>
  );
}
