import { useQuery } from '@tanstack/react-query';
import type { Schemas } from '../../lib/api';
import { day, quantity } from '../../lib/format';
import { queries } from '../../lib/queries';
import { ItemNumber } from '../../ui/Num';

interface Props {
  page: Schemas['ReplacementPage'];
  /** Those in which it is replaced. */
  parents: string[];
}

/** Whether there is enough of what comes, from the first day until more can be there: by what planning has, for the lines chosen. */
export function Shortages({ page, parents }: Props) {
  const asked = {
    old: page.old.item.number,
    new: page.new.map(({ item, ratio }) => ({ item: item.number, ratio: ratio ?? '1' })),
    parents,
    first_day: page.from ?? page.effective_on ?? '',
  };
  const { data, isError } = useQuery(queries.shortages(asked));
  if (isError) return <p className="text-sm text-soft">What will be short is not known: planning does not answer</p>;
  return (
    <ul aria-label="What will be short" className="text-sm empty:hidden">
      {data?.rows.map((row) => (
        <li key={row.item} className={row.short === '0' ? undefined : 'text-alarm'}>
          <ItemNumber number={row.item} /> {inWords(row, asked.first_day)}
        </li>
      ))}
    </ul>
  );
}

function inWords(row: Schemas['ShortageRow'], first: string): string {
  const many = (text: string) => `${quantity(text)} ${row.unit}`;
  const until = row.lead_time_known
    ? `until ${day(row.until)}, when what is ordered today can be there`
    : `until ${day(row.until)}; lead time not known`;
  if (row.lead_time_known && first >= row.until)
    return `what is ordered today can be there on ${day(row.until)}, before the first is needed`;
  if (row.needed === '0') return `none needed ${until}`;
  const needed = `${many(row.needed)} needed ${until}`;
  return row.short === '0' ? `enough: ${needed}` : `▲ ${many(row.short)} short from ${day(row.short_from)}: ${needed}`;
}
