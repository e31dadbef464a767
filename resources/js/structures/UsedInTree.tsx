import { useQueries } from '@tanstack/react-query';
import { useState } from 'react';
import { queries } from '../lib/queries';
import type { Picture } from '../lib/words';
import { DataTable, type Column } from '../ui/DataTable';
import { Loading } from '../ui/Loading';
import { Notice } from '../ui/Notice';
import { usedInColumn, usedQuantityColumn, usedWhole } from './usedColumns';
import { usedIn, type Parent } from './usedIn';

interface Props {
  number: string;
  query: { on?: string } & Partial<Picture>;
}

const columns: Column<Parent>[] = [
  {
    ...usedInColumn,
    cell: (row) => (
      <>
        {usedInColumn.cell(row)}
        {row.ends && <span className="text-soft"> · nothing uses it on that day</span>}
      </>
    ),
  },
  usedQuantityColumn,
];

/** Upward from an item, parent by parent: each branch is opened to see what uses it in turn. */
export function UsedInTree({ number, query }: Props) {
  const [open, setOpen] = useState<ReadonlySet<string>>(new Set());
  // What is opened in several places is asked once.
  const asked = [...new Set([number, ...[...open].map((key) => key.slice(key.lastIndexOf('/') + 1))])];
  const answers = useQueries({ queries: asked.map((one) => queries.directlyUsed(one, query)) });
  const above = new Map(asked.flatMap((one, at) => (answers[at]?.data ? [[one, answers[at].data.rows]] : [])));
  const failed = answers.slice(1).find(({ error }) => error !== null);
  const turn = (key: string, on: boolean) =>
    setOpen((before) => (on ? new Set([...before, key]) : new Set([...before].filter((one) => one !== key))));
  return (
    <Loading query={answers[0] as (typeof answers)[number]}>
      {() => (
        <>
          {failed?.error && <Notice look="alarm">{failed.error.message}</Notice>}
          <DataTable
            label={`Where ${number} is used, upward`}
            exportName={`where-${number}-is-used-upward`}
            rows={usedIn(number, above, open)}
            columns={columns}
            whole={usedWhole}
            keyOf={({ key }) => key}
            rowClass={({ item }) => (item.sold ? 'bg-accent-soft' : '')}
            tree={{
              level: ({ level }) => level,
              open: (row) => (row.top ? undefined : open.has(row.key)),
              turn: (row, on) => turn(row.key, on),
              name: ({ item }) => item.number,
            }}
            empty={`Nothing uses ${number} on that day.`}
          />
        </>
      )}
    </Loading>
  );
}
