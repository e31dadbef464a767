import clsx from 'clsx';
import { Fragment, useMemo, useRef, type MouseEvent, type ReactNode } from 'react';
import { moment } from '../lib/format';
import { useWindow } from '../lib/useWindow';
import type { Column } from '../ui/DataTable';
import { ColumnMenu } from '../ui/table/ColumnMenu';
import { HeadCell } from '../ui/table/HeadCell';
import { useTableState } from '../ui/table/useTableState';
import { TableExport } from '../ui/TableExport';
import { Mark } from '../ui/Mark';
import { Notice } from '../ui/Notice';
import { RedlineCell } from './RedlineCell';
import { RedlineProblem } from './RedlineProblem';
import { gridColumns } from './redlineColumns';
import { fields as ofEngineering, plantFields, type Field } from './redlineFields';
import type { RedlineRow } from './useRedline';
import { useRedlineGrid, type Editing } from './useRedlineGrid';

/** Rows of the table that stand over lines, such as the operation at which they are consumed. */
export interface Bands {
  /** What stands between two lines; null: nothing. */
  before: (row: RedlineRow, above: RedlineRow | undefined, width: number) => ReactNode;
  /** What stands below the last line. */
  after: (last: RedlineRow | undefined, width: number) => ReactNode;
}

interface Props extends Editing {
  /** By which its columns are remembered, and its export is called. */
  of?: 'redline' | 'built' | 'worksheet';
  name: string;
  rows: RedlineRow[];
  fields?: readonly Field[];
  only: boolean;
  /** Whether the columns of days and fixed revisions are shown although no line says anything in them. */
  wide: boolean;
  bands?: Bands;
  /** Columns before those of the line, which are read and not edited. */
  lead?: Column<RedlineRow>[];
  /** What can be done with the rows that are marked. */
  tools?: (marked: RedlineRow[]) => ReactNode;
  /** Told the row that one comes to. */
  onMarked?: (row: RedlineRow | null) => void;
}

/** Of more rows only those in sight are drawn, all of one height. */
const MANY = 200;
const ROW = 31;

/**
 * Before and after in one table, edited in place as in a spreadsheet: arrows move, with Shift they mark a block; Enter
 * edits, and so does typing, whose first key is the first character; Escape leaves the cell as it was, Delete removes the
 * marked lines, Insert adds one; a block is copied out, and one from a spreadsheet pasted, whole or not at all.
 */
export function RedlineGrid(props: Props) {
  const {
    of = 'redline',
    name,
    rows: all,
    fields: shown = ofEngineering,
    only,
    wide,
    bands,
    lead,
    tools,
    onMarked,
    ...editing
  } = props;
  const { edit, several, mayEdit } = editing;
  const columns = useMemo(() => [...(lead ?? []), ...gridColumns(all, wide, shown)], [lead, all, wide, shown]);
  const state = useTableState<RedlineRow>({
    name: of,
    rows: all,
    columns,
    keyOf: (row) => row.key,
    sortParam: `sort-${of}`,
    orderedBefore: true,
  });
  const fields = state.columns.flatMap(({ id }) => plantFields.filter((field) => field === id));
  const { columnSizing } = state.table.getState();
  const rows = only ? all.filter((row) => row.mark !== 'unchanged') : all;
  const body = useRef<HTMLTableSectionElement>(null);
  const flat = of === 'worksheet' || (bands === undefined && rows.length > MANY);
  const { scroller, first, end, show } = useWindow(flat ? rows.length : 0, ROW);
  const [from, to] = flat ? [first, end] : [0, rows.length];
  const blank = (count: number) => count > 0 && <tr aria-hidden style={{ height: count * ROW }} />;
  const grid = useRedlineGrid(rows, fields, body, { ...editing, show: flat ? show : undefined });

  if (rows.length === 0 && bands === undefined) {
    return (
      <p className="border-y border-rule py-3 text-soft">
        {only ? 'No differences yet.' : 'It has no lines. Add the first one.'}
      </p>
    );
  }

  return (
    <div onPaste={grid.paste}>
      {grid.misfit !== null && <Notice look="alarm">{grid.misfit}</Notice>}
      {several.error && <RedlineProblem problem={several.error} />}
      {tools?.(grid.block)}
      <div
        ref={scroller}
        className="max-h-[calc(100vh-13rem)] overflow-auto border-y border-strong print:max-h-none print:overflow-visible"
      >
        <table
          role="grid"
          aria-label="Before and after"
          aria-readonly={!mayEdit}
          aria-multiselectable
          {...(flat && { 'aria-rowcount': rows.length + 1 })}
          data-takes-letters={mayEdit || undefined}
          className="w-full border-collapse bg-sheet"
        >
          <thead>
            <tr className="sticky top-0 z-10 bg-sheet text-left text-sm text-soft shadow-[inset_0_-1px_var(--rule-strong)]">
              <th className="w-8 py-1 pl-2">
                <span className="sr-only">Difference</span>
              </th>
              {state.columns.map((column) => (
                <HeadCell key={column.id} column={column} state={state} sorts={false} />
              ))}
            </tr>
          </thead>
          <tbody ref={body}>
            {blank(from)}
            {rows.slice(from, to).map((row, offset) => {
              const rowAt = from + offset;
              return (
                <Fragment key={row.key}>
                  {bands?.before(row, rows[rowAt - 1], state.columns.length + 1)}
                  <tr
                    className={clsx('group border-b border-rule align-baseline', `mark-${row.mark}`)}
                    {...(flat && { 'aria-rowindex': rowAt + 2, style: { height: ROW } })}
                  >
                    <td className="py-1 pl-2">
                      <Mark value={row.mark} />
                    </td>
                    {state.columns.map((column) => {
                      const { id } = column;
                      if (lead?.includes(column)) {
                        return (
                          <td
                            key={id}
                            className={clsx('px-2 py-1', flat && 'max-w-48 truncate')}
                            {...(flat && { title: column.text(row) })}
                          >
                            {column.cell(row)}
                          </td>
                        );
                      }
                      const fieldAt = fields.findIndex((one) => one === id);
                      const field = fields[fieldAt];
                      return field === undefined ? (
                        <td
                          key={id}
                          className="px-2 py-1 text-sm whitespace-nowrap text-soft"
                          title={moment(row.edited_at)}
                        >
                          {row.edited_by}
                          {mayEdit && row.after !== null && (
                            <button
                              type="button"
                              tabIndex={-1}
                              aria-label={`Remove line ${row.after.find}`}
                              className="target invisible ml-2 text-alarm group-focus-within:visible group-hover:visible hover:underline"
                              onClick={() => grid.remove([row])}
                            >
                              Remove
                            </button>
                          )}
                        </td>
                      ) : (
                        <RedlineCell
                          key={field}
                          flat={flat}
                          size={columnSizing[field]}
                          row={row}
                          field={field}
                          place={`${rowAt}-${fieldAt}`}
                          current={grid.at.row === rowAt && grid.at.field === fieldAt}
                          marked={grid.marked(rowAt, fieldAt)}
                          editing={grid.editing === `${row.key} ${fieldAt}`}
                          begun={grid.begun}
                          invalid={grid.touched === row.key && edit.error?.at(field) !== undefined}
                          onFocus={() => {
                            grid.focused(rowAt, fieldAt);
                            onMarked?.(row);
                          }}
                          onPress={(event: MouseEvent) => {
                            if (!event.shiftKey) return;
                            event.preventDefault();
                            grid.focus(rowAt, fieldAt, true);
                          }}
                          onKey={(event) => grid.onKey(event, row, rowAt, fieldAt)}
                          onEdit={() => mayEdit && row.after !== null && grid.openCell(`${row.key} ${fieldAt}`)}
                          onCommit={(text, next) =>
                            void grid.commit(row, field, text, () =>
                              setTimeout(() =>
                                grid.focus(rowAt + (next === 'down' ? 1 : 0), fieldAt + (next === 'right' ? 1 : 0)),
                              ),
                            )
                          }
                          onCancel={() => {
                            grid.openCell(null);
                            edit.reset();
                            setTimeout(() => grid.focus(rowAt, fieldAt));
                          }}
                        />
                      );
                    })}
                  </tr>
                  {grid.touched === row.key && edit.error && (
                    <tr>
                      <td colSpan={state.columns.length + 1}>
                        <RedlineProblem problem={edit.error} />
                      </td>
                    </tr>
                  )}
                </Fragment>
              );
            })}
            {blank(rows.length - to)}
            {bands?.after(rows.at(-1), state.columns.length + 1)}
          </tbody>
        </table>
      </div>
      <div className="no-print space-x-3 pt-0.5 text-right text-sm">
        <ColumnMenu state={state} columns={columns} />
        <TableExport name={name} columns={state.columns} rows={() => Promise.resolve(rows)} />
      </div>
      {edit.error && grid.touched !== null && !rows.some((row) => row.key === grid.touched) && (
        <Notice look="alarm">{edit.error.message}</Notice>
      )}
    </div>
  );
}
