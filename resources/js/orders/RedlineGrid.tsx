import type { UseMutationResult } from '@tanstack/react-query';
import clsx from 'clsx';
import { Fragment, useMemo, useRef, useState, type ClipboardEvent, type KeyboardEvent, type MouseEvent } from 'react';
import type { ApiProblem } from '../lib/api';
import { moment, today } from '../lib/format';
import { ColumnMenu } from '../ui/table/ColumnMenu';
import { HeadCell } from '../ui/table/HeadCell';
import { useTableState } from '../ui/table/useTableState';
import { TableExport } from '../ui/TableExport';
import { fromTabs, toTabs } from '../ui/tableText';
import { Mark } from '../ui/Mark';
import { Notice } from '../ui/Notice';
import { pasteBlock, written } from './pasteBlock';
import { RedlineCell } from './RedlineCell';
import { RedlineProblem } from './RedlineProblem';
import { gridColumns } from './redlineColumns';
import { fields as allFields, values, type Field } from './redlineFields';
import type { Done, LineEdit, Redline, RedlineRow } from './useRedline';

interface Props {
  redline: Redline;
  edit: UseMutationResult<Done, ApiProblem, LineEdit>;
  /** Several edits, all of them or none. */
  several: UseMutationResult<Done, ApiProblem, LineEdit[]>;
  only: boolean;
  /** Whether the columns of days and fixed revisions are shown although no line says anything in them. */
  wide: boolean;
  onAdd?: () => void;
}

interface Place {
  row: number;
  field: number;
}

/**
 * Before and after in one table, edited in place as in a spreadsheet: arrows move, with Shift they mark a block; Enter
 * edits, and so does typing, whose first key is the first character; Escape leaves the cell as it was, Delete removes the
 * marked lines, Insert adds one; a block is copied out, and one from a spreadsheet pasted, whole or not at all.
 */
export function RedlineGrid({ redline, edit, several, only, wide, onAdd }: Props) {
  const [at, setAt] = useState<Place>({ row: 0, field: 0 });
  const [anchor, setAnchor] = useState<Place>({ row: 0, field: 0 });
  const [editing, setEditing] = useState<string | null>(null);
  /** What was typed to open the cell. */
  const [begun, setBegun] = useState<string | null>(null);
  const [misfit, setMisfit] = useState<string | null>(null);
  // Whoever is quick opens the next cell before the last one is saved: what comes back must know which is open by then.
  const open = useRef<string | null>(null);
  const saving = useRef<string | null>(null);
  const extending = useRef(false);
  const openCell = (cell: string | null, first: string | null = null) => {
    open.current = cell;
    setBegun(first);
    setEditing(cell);
  };
  const [touched, setTouched] = useState<string | null>(null);
  const body = useRef<HTMLTableSectionElement>(null);
  const columns = useMemo(() => gridColumns(redline.rows, wide), [redline.rows, wide]);
  const state = useTableState<RedlineRow>({
    name: 'redline',
    rows: redline.rows,
    columns,
    keyOf: (row) => row.key,
    sortParam: 'sort-redline',
    orderedBefore: true,
  });
  const fields = state.columns.flatMap(({ id }) => allFields.filter((field) => field === id));
  const { columnSizing } = state.table.getState();
  const rows = only ? redline.rows.filter((row) => row.mark !== 'unchanged') : redline.rows;
  const [top, bottom] = [Math.min(at.row, anchor.row), Math.max(at.row, anchor.row)];
  const [left, right] = [Math.min(at.field, anchor.field), Math.max(at.field, anchor.field)];
  const isBlock = top !== bottom || left !== right;

  const focus = (row: number, field: number, extend = false) => {
    const next = {
      row: Math.max(0, Math.min(rows.length - 1, row)),
      field: Math.max(0, Math.min(fields.length - 1, field)),
    };
    setAt(next);
    if (!extend) setAnchor(next);
    extending.current = extend;
    body.current?.querySelector<HTMLElement>(`[data-cell="${next.row}-${next.field}"]`)?.focus();
  };
  const save = async (row: RedlineRow, changed: Partial<Record<Field, string>>): Promise<boolean> => {
    setTouched(row.key);
    const operation = changed.component === undefined ? 'change' : 'replace';
    try {
      await edit.mutateAsync({ operation, line: row.key, fields: changed });
      return true;
    } catch {
      return false;
    }
  };
  const remove = (marked: RedlineRow[]) => {
    const [first] = marked;
    if (marked.length > 1) several.mutate(marked.map(({ key }) => ({ operation: 'remove', line: key, fields: {} })));
    else if (first !== undefined) {
      setTouched(first.key);
      edit.mutate({ operation: 'remove', line: first.key, fields: {} });
    }
  };
  const commit = async (row: RedlineRow, field: Field, text: string, then?: () => void) => {
    const cell = `${row.key} ${fields.indexOf(field)}`;
    const closed = () => {
      if (open.current !== cell) return;
      openCell(null);
      then?.();
    };
    const said = written(field, text, today());
    if (said === (values(row, field).after ?? '')) {
      closed();
      return;
    }
    // Enter and the blur that follows it are one act.
    if (saving.current === `${cell} ${said}`) return;
    saving.current = `${cell} ${said}`;
    const saved = await save(row, { [field]: said });
    saving.current = null;
    if (saved) closed();
  };
  const paste = (event: ClipboardEvent) => {
    const block = fromTabs(event.clipboardData.getData('text/plain'));
    if (!redline.may_edit || editing !== null || block.length === 0) return;
    event.preventDefault();
    const result = pasteBlock(block, { row: top, field: left }, rows, fields, today());
    setMisfit('reason' in result ? result.reason : null);
    several.reset();
    if ('edits' in result && result.edits.length > 0) several.mutate(result.edits);
  };
  const copy = () => {
    const block = fields
      .slice(left, right + 1)
      .map((field) => ({ head: field, text: (row: RedlineRow) => values(row, field).after ?? '' }));
    void navigator.clipboard.writeText(toTabs(block, rows.slice(top, bottom + 1)));
  };
  const onKey = (event: KeyboardEvent<HTMLElement>, row: RedlineRow, rowAt: number, fieldAt: number) => {
    if (editing !== null || event.target !== event.currentTarget) return;
    const mod = event.ctrlKey || event.metaKey;
    const moves: Record<string, [number, number]> = {
      ArrowDown: [rowAt + 1, fieldAt],
      ArrowUp: [rowAt - 1, fieldAt],
      ArrowRight: [rowAt, fieldAt + 1],
      ArrowLeft: [rowAt, fieldAt - 1],
      PageDown: [rowAt + 15, fieldAt],
      PageUp: [rowAt - 15, fieldAt],
      Home: [mod ? 0 : rowAt, 0],
      End: [mod ? rows.length - 1 : rowAt, fields.length - 1],
    };
    const move = moves[event.key];
    const id = `${row.key} ${fieldAt}`;
    const types = event.key.length === 1 && event.key !== ' ' && !mod && !event.altKey;
    if (move) {
      event.preventDefault();
      focus(...move, event.shiftKey);
    } else if (mod && event.key.toLowerCase() === 'c') {
      event.preventDefault();
      copy();
    } else if (event.key === 'Escape') {
      setAnchor(at);
      setMisfit(null);
    } else if (redline.may_edit && event.key === 'Insert') {
      event.preventDefault();
      onAdd?.();
    } else if (redline.may_edit && event.key === 'Delete') {
      event.preventDefault();
      remove(rows.slice(top, bottom + 1).filter((one) => one.after !== null));
    } else if (redline.may_edit && row.after !== null && (event.key === 'Enter' || event.key === 'F2' || types)) {
      event.preventDefault();
      event.stopPropagation();
      edit.reset();
      openCell(id, types ? event.key : null);
    }
  };

  if (rows.length === 0) {
    return (
      <p className="border-y border-rule py-3 text-soft">
        {only ? 'No differences yet.' : 'It has no lines. Add the first one.'}
      </p>
    );
  }

  return (
    <div onPaste={paste}>
      {misfit !== null && <Notice look="alarm">Nothing was pasted. {misfit}</Notice>}
      {several.error && <RedlineProblem problem={several.error} />}
      <div className="max-h-[calc(100vh-13rem)] overflow-auto border-y border-strong print:max-h-none print:overflow-visible">
        <table
          role="grid"
          aria-label="Before and after"
          aria-readonly={!redline.may_edit}
          aria-multiselectable
          data-takes-letters={redline.may_edit || undefined}
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
            {rows.map((row, rowAt) => (
              <Fragment key={row.key}>
                <tr className={clsx('group border-b border-rule align-baseline', `mark-${row.mark}`)}>
                  <td className="py-1 pl-2">
                    <Mark value={row.mark} />
                  </td>
                  {state.columns.map(({ id }) => {
                    const fieldAt = fields.findIndex((one) => one === id);
                    const field = fields[fieldAt];
                    return field === undefined ? (
                      <td
                        key={id}
                        className="px-2 py-1 text-sm whitespace-nowrap text-soft"
                        title={moment(row.edited_at)}
                      >
                        {row.edited_by}
                        {redline.may_edit && row.after !== null && (
                          <button
                            type="button"
                            tabIndex={-1}
                            aria-label={`Remove line ${row.after.find}`}
                            className="target invisible ml-2 text-alarm group-focus-within:visible group-hover:visible hover:underline"
                            onClick={() => remove([row])}
                          >
                            Remove
                          </button>
                        )}
                      </td>
                    ) : (
                      <RedlineCell
                        key={field}
                        size={columnSizing[field]}
                        row={row}
                        field={field}
                        place={`${rowAt}-${fieldAt}`}
                        current={at.row === rowAt && at.field === fieldAt}
                        marked={isBlock && rowAt >= top && rowAt <= bottom && fieldAt >= left && fieldAt <= right}
                        editing={editing === `${row.key} ${fieldAt}`}
                        begun={begun}
                        invalid={touched === row.key && edit.error?.at(field) !== undefined}
                        onFocus={() => {
                          setAt({ row: rowAt, field: fieldAt });
                          // What Shift has marked stays marked while the focus follows.
                          if (!extending.current) setAnchor({ row: rowAt, field: fieldAt });
                          extending.current = false;
                        }}
                        onPress={(event: MouseEvent) => {
                          if (!event.shiftKey) return;
                          event.preventDefault();
                          focus(rowAt, fieldAt, true);
                        }}
                        onKey={(event) => onKey(event, row, rowAt, fieldAt)}
                        onEdit={() => redline.may_edit && row.after !== null && openCell(`${row.key} ${fieldAt}`)}
                        onCommit={(text, next) =>
                          void commit(row, field, text, () =>
                            setTimeout(() =>
                              focus(rowAt + (next === 'down' ? 1 : 0), fieldAt + (next === 'right' ? 1 : 0)),
                            ),
                          )
                        }
                        onCancel={() => {
                          openCell(null);
                          edit.reset();
                          setTimeout(() => focus(rowAt, fieldAt));
                        }}
                      />
                    );
                  })}
                </tr>
                {touched === row.key && edit.error && (
                  <tr>
                    <td colSpan={fields.length + 2}>
                      <RedlineProblem problem={edit.error} />
                    </td>
                  </tr>
                )}
              </Fragment>
            ))}
          </tbody>
        </table>
      </div>
      <div className="no-print space-x-3 pt-0.5 text-right text-sm">
        <ColumnMenu state={state} columns={columns} />
        <TableExport
          name={`lines-of-${redline.item.number}`}
          columns={state.columns}
          rows={() => Promise.resolve(rows)}
        />
      </div>
      {edit.error && touched !== null && !rows.some((row) => row.key === touched) && (
        <Notice look="alarm">{edit.error.message}</Notice>
      )}
    </div>
  );
}
