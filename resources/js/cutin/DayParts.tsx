import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { Schemas } from '../lib/api';
import { day } from '../lib/format';
import { queries } from '../lib/queries';
import { DataTable } from '../ui/DataTable';
import { Notice } from '../ui/Notice';
import { costColumns, costWhole } from './costColumns';
import { costRows, type Part } from './costRows';

type Page = Schemas['CutInPage'];

interface Props {
  question: Schemas['CutInQuestion'];
  page: Page;
  held: Page | null;
  at: number;
}

/** The cost of one day in its parts, beside that of a plan held to compare; each part opens down to single orders. */
export function DayParts({ question, page, held, at }: Props) {
  const [open, setOpen] = useState<ReadonlySet<Part>>(new Set());
  const now = page.days[at];
  const then = held?.days[at] ?? null;
  // Nothing is asked until a part is opened.
  const single = useQuery({
    ...queries.cutInRows(question, now?.on ?? ''),
    enabled: now !== undefined && open.size > 0,
    placeholderData: keepPreviousData,
  });
  if (!now) return null;
  return (
    <div>
      {single.error && <Notice look="alarm">{single.error.message}</Notice>}
      <DataTable
        label={`What ${day(now.on)} costs`}
        caption={`Cut in on ${day(now.on)}, in ${page.currency}`}
        exportName="cut-in-cost"
        rows={costRows(now, then, single.data ?? null, open, page.counts_recurring)}
        columns={costColumns(then !== null)}
        whole={costWhole(page.currency, then !== null)}
        keyOf={({ key }) => key}
        rowClass={({ part }) => (part === 'total' ? 'font-semibold' : part === 'disturbed' ? 'text-soft' : '')}
        tree={{
          level: ({ level }) => level,
          open: ({ level, part }) =>
            level > 1 || part === 'total' || part === 'disturbed' ? undefined : open.has(part),
          turn: ({ part }, on) =>
            setOpen((before) => {
              if (part === 'total' || part === 'disturbed') return before;
              return new Set(on ? [...before, part] : [...before].filter((one) => one !== part));
            }),
          name: ({ name }) => name,
        }}
        empty=""
      />
    </div>
  );
}
