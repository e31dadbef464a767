import clsx from 'clsx';
import { Fragment, useMemo, useRef, type ReactNode } from 'react';
import { useFollow } from '../lib/useFollow';
import { useScroller } from '../lib/useScroller';
import type { Column } from '../ui/DataTable';
import { ColumnMenu } from '../ui/table/ColumnMenu';
import { HeadCell } from '../ui/table/HeadCell';
import { RowsInSight } from '../ui/table/RowsInSight';
import { useTableState } from '../ui/table/useTableState';
import { TableExport } from '../ui/TableExport';
import { Notice } from '../ui/Notice';
import { cellEvents } from './cellEvents';
import { flatColumns, flatWidth } from './flatWidths';
import { RedlineLine } from './RedlineLine';
import { RedlineProblem } from './RedlineProblem';
import { gridColumns } from './redlineColumns';
import { fields as ofEngineering, plantFields, type Field } from './redlineFields';
import { useLineDrag, type DropLines } from './useLineDrag';
import { useLineHandlers } from './useLineHandlers';
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
  /** Given, lines can be dragged to another place. */
  drop?: DropLines;
  /** Lines that are not to be edited, though others are. */
  fixed?: (row: RedlineRow) => boolean;
  /** Told the row that one comes to. */
  onMarked?: (row: RedlineRow | null) => void;
}

/** Of more rows only those in sight are drawn, all of one height. */
const MANY = 200;
const ROW = 33;
const MARKS = 32;

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
    drop,
    fixed,
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
  const fields = useMemo(
    () => state.columns.flatMap(({ id }) => plantFields.filter((field) => field === id)),
    [state.columns],
  );
  const { columnSizing } = state.table.getState();
  const rows = only ? all.filter((row) => row.mark !== 'unchanged') : all;
  const body = useRef<HTMLTableSectionElement>(null);
  const flat = of === 'worksheet' || (bands === undefined && rows.length > MANY);
  const scroller = useScroller(ROW);
  const { attach, show } = scroller;
  const widths = state.columns.map(({ id }) => flatWidth(id, columnSizing));
  const grid = useRedlineGrid(rows, fields, body, { ...editing, show: flat ? show : undefined });
  const drag = useLineDrag(
    (rowAt) => (grid.marked(rowAt) ? grid.block : null),
    (done) => {
      grid.setMisfit(typeof done === 'string' ? `Nothing was moved. ${done}` : null);
      if (typeof done !== 'string') several.mutate(done);
    },
  );
  const follow = useFollow();
  const cells = cellEvents(rows, {
    onFocus: (row, rowAt, fieldAt) => {
      grid.focused(rowAt, fieldAt);
      onMarked?.(row);
    },
    onPress: (event, rowAt, fieldAt) => {
      if (!event.shiftKey) return;
      event.preventDefault();
      grid.focus(rowAt, fieldAt, true);
    },
    onKey: grid.onKey,
    onEdit: (row, fieldAt) =>
      mayEdit && fixed?.(row) !== true && row.after !== null && grid.openCell(`${row.key} ${fieldAt}`),
  });
  const handlers = useLineHandlers({
    onCommit: (row, text, next, rowAt, fieldAt) => {
      const field = fields[fieldAt];
      const [down, right] = [next === 'down' ? 1 : 0, next === 'right' ? 1 : 0];
      if (field !== undefined)
        void grid.commit(row, field, text, () => setTimeout(() => grid.focus(rowAt + down, fieldAt + right)));
    },
    onCancel: (rowAt, fieldAt) => {
      grid.openCell(null);
      edit.reset();
      setTimeout(() => grid.focus(rowAt, fieldAt));
    },
    onRemove: (row) => grid.remove([row]),
    onDrag: drag.onDrag,
    onDragOver: drag.onDragOver,
    onDrop: (event, row) => drop && drag.onDrop(event, row, drop),
    onDragEnd: drag.onDragEnd,
  });

  const draw = (rowAt: number) => {
    const row = rows[rowAt];
    if (row === undefined) return null;
    return (
      <Fragment key={row.key}>
        {bands?.before(row, rows[rowAt - 1], state.columns.length + 1)}
        <RedlineLine
          row={row}
          rowAt={rowAt}
          columns={state.columns}
          lead={lead}
          fields={fields}
          sizes={columnSizing}
          flat={flat}
          mayEdit={mayEdit && fixed?.(row) !== true}
          moves={mayEdit && fixed?.(row) !== true && drop !== undefined && row.after !== null}
          drop={drag.over?.row === rowAt ? drag.over.side : null}
          current={grid.at.row === rowAt ? grid.at.field : null}
          markedFrom={grid.marked(rowAt)?.[0] ?? 0}
          markedTo={grid.marked(rowAt)?.[1] ?? -1}
          editing={grid.editing(row)}
          begun={grid.editing(row) === null ? null : grid.begun}
          invalid={grid.touched === row.key ? (fields.find((one) => edit.error?.at(one)) ?? null) : null}
          handlers={handlers}
        />
        {grid.touched === row.key && edit.error && (
          <tr>
            <td colSpan={state.columns.length + 1}>
              <RedlineProblem problem={edit.error} />
            </td>
          </tr>
        )}
      </Fragment>
    );
  };

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
        ref={attach}
        // The ground is that of what scrolls: of a table that grows and shrinks it would be painted anew, all of it, whenever a row comes.
        className="fits-window [--below:3.25rem] overflow-auto border-y border-strong bg-sheet print:overflow-visible"
      >
        <table
          role="grid"
          aria-label="Before and after"
          aria-readonly={!mayEdit}
          aria-multiselectable
          {...(flat && { 'aria-rowcount': rows.length + 1 })}
          data-takes-letters={mayEdit || undefined}
          className={clsx('w-full', flat ? 'rows-apart columns-fixed' : 'border-collapse')}
          style={flat ? flatColumns(MARKS, widths, ROW) : undefined}
        >
          {flat && (
            <colgroup>
              <col style={{ width: MARKS }} />
              {state.columns.map(({ id }, at) => (
                <col key={id} style={{ width: widths[at] }} />
              ))}
            </colgroup>
          )}
          <thead {...(flat && { role: 'rowgroup' })} className={clsx(flat && 'bg-sheet')}>
            <tr
              {...(flat && { role: 'row' })}
              className="sticky top-0 z-10 bg-sheet text-left text-sm text-soft shadow-[inset_0_-1px_var(--rule-strong)]"
            >
              <th className="w-8 py-1 pl-2">
                <span className="sr-only">Difference</span>
              </th>
              {state.columns.map((column) => (
                <HeadCell key={column.id} column={column} state={state} sorts={false} />
              ))}
            </tr>
          </thead>
          {/* What is heard here is done by the cells and links in it, which take the focus and the keys. */}
          {/* eslint-disable-next-line jsx-a11y/click-events-have-key-events, jsx-a11y/no-noninteractive-element-interactions */}
          <tbody ref={body} {...(flat && { role: 'rowgroup' })} {...cells} onClick={follow}>
            {flat ? (
              <RowsInSight scroller={scroller} count={rows.length} height={ROW} draw={draw} />
            ) : (
              rows.map((_, rowAt) => draw(rowAt))
            )}
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
