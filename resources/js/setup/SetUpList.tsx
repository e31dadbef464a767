import type { UseQueryResult } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import type { ApiProblem } from '../lib/api';
import { useMay } from '../lib/session';
import { DataTable } from '../ui/DataTable';
import { Loading } from '../ui/Loading';
import { Page } from '../ui/Page';
import { changeColumn } from '../ui/table/changeColumn';
import type { Column } from '../ui/table/Column';

interface Row {
  code: string;
  name: string;
}

interface Props<R extends Row> {
  title: string;
  /** What stands above the table: what it is good for. */
  about: string;
  label: string;
  empty: string;
  query: UseQueryResult<R[], ApiProblem | Error>;
  /** Between the name and the button that changes a row. */
  columns: Column<R>[];
  /** What one must be allowed to change them. */
  ability?: string;
  width?: string;
  /** What the code of a row is called. */
  codeHead?: string;
  /** What has just come of it. */
  note?: ReactNode;
  /** Where the table is long, the form stands above it. */
  formAbove?: boolean;
  /** The form of a row, or of a new one. */
  form: (row: R | null, onDone: () => void) => ReactNode;
}

/** What is set up of one kind: all of it in a table, and below the form of the one that is opened, or of a new one. */
export function SetUpList<R extends Row>({
  title,
  about,
  label,
  empty,
  query,
  columns,
  ability = 'set_up',
  width = 'max-w-5xl',
  codeHead = 'Code',
  note,
  formAbove = false,
  form,
}: Props<R>) {
  const maySet = useMay(ability);
  const [open, setOpen] = useState<string | null>(null);
  const close = () => setOpen(null);
  return (
    <Page title={title} over="Set-up">
      <Loading query={query}>
        {(rows) => {
          const opened = rows.find(({ code }) => code === open) ?? null;
          return (
            <div className={`${width} space-y-4`}>
              <p className="text-soft">{about}</p>
              {note}
              {formAbove && maySet && form(opened, close)}
              <DataTable
                label={label}
                rows={rows}
                keyOf={(row) => row.code}
                empty={empty}
                columns={[
                  {
                    id: 'code',
                    head: codeHead,
                    text: (row) => row.code,
                    cell: (row) => <span className="font-mono text-[0.84rem]">{row.code}</span>,
                  },
                  { id: 'name', head: 'Name', text: (row) => row.name, cell: (row) => row.name },
                  ...columns,
                  ...(maySet ? [changeColumn<R>(open, setOpen)] : []),
                ]}
              />
              {!formAbove && maySet && form(opened, close)}
            </div>
          );
        }}
      </Loading>
    </Page>
  );
}

/** Whether it is offered still. */
export function statusColumn<R extends { retired: boolean }>(): Column<R> {
  const status = (row: R) => (row.retired ? 'retired' : 'active');
  return { id: 'status', head: 'Status', text: status, cell: status };
}

/** What stands in a column as text alone. */
export function textColumn<R>(id: string, head: string, text: (row: R) => string): Column<R> {
  return { id, head, text, cell: text };
}
