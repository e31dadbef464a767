import type { UseMutationResult } from '@tanstack/react-query';
import clsx from 'clsx';
import { Fragment, useRef, useState, type ClipboardEvent, type KeyboardEvent } from 'react';
import type { ApiProblem } from '../lib/api';
import { moment } from '../lib/format';
import { fromTabs } from '../ui/tableText';
import { Mark } from '../ui/Mark';
import { Notice } from '../ui/Notice';
import { RedlineCell } from './RedlineCell';
import { RedlineProblem } from './RedlineProblem';
import { fields as allFields, heads, seldom, values, type Field } from './redlineFields';
import type { LineEdit, Redline, RedlineRow } from './useRedline';

interface Props {
  redline: Redline;
  edit: UseMutationResult<Redline, ApiProblem, LineEdit>;
  only: boolean;
  /** Whether the columns of days and fixed revisions are shown although no line says anything in them. */
  wide: boolean;
}

/**
 * Before and after in one table, edited in place as in a spreadsheet: arrows move, Enter or typing edits, Escape leaves
 * the cell as it was, Delete removes the line, a block copied from a spreadsheet can be pasted.
 */
export function RedlineGrid({ redline, edit, only, wide }: Props) {
  const [at, setAt] = useState({ row: 0, field: 0 });
  const [editing, setEditing] = useState<string | null>(null);
  // Whoever is quick opens the next cell before the last one is saved: what comes back must know which is open by then.
  const open = useRef<string | null>(null);
  const saving = useRef<string | null>(null);
  const openCell = (cell: string | null) => {
    open.current = cell;
    setEditing(cell);
  };
  const [touched, setTouched] = useState<string | null>(null);
  const body = useRef<HTMLTableSectionElement>(null);
  const fields = allFields.filter(
    (field) =>
      wide ||
      !seldom.includes(field) ||
      redline.rows.some((row) => row.before?.[field] != null || row.after?.[field] != null),
  );
  const rows = only ? redline.rows.filter((row) => row.mark !== 'unchanged') : redline.rows;

  const focus = (row: number, field: number) => {
    const next = {
      row: Math.max(0, Math.min(rows.length - 1, row)),
      field: Math.max(0, Math.min(fields.length - 1, field)),
    };
    setAt(next);
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
  const remove = (row: RedlineRow) => {
    setTouched(row.key);
    edit.mutate({ operation: 'remove', line: row.key, fields: {} });
  };
  const commit = async (row: RedlineRow, field: Field, text: string, then?: () => void) => {
    const cell = `${row.key} ${fields.indexOf(field)}`;
    const closed = () => {
      if (open.current !== cell) return;
      openCell(null);
      then?.();
    };
    if (text.trim() === (values(row, field).after ?? '')) {
      closed();
      return;
    }
    // Enter and the blur that follows it are one act.
    if (saving.current === `${cell} ${text}`) return;
    saving.current = `${cell} ${text}`;
    const saved = await save(row, { [field]: text });
    saving.current = null;
    if (saved) closed();
  };
  const paste = async (event: ClipboardEvent) => {
    const block = fromTabs(event.clipboardData.getData('text/plain'));
    if (!redline.may_edit || editing !== null || block.length === 0) return;
    event.preventDefault();
    for (const [down, cells] of block.entries()) {
      const row = rows[at.row + down];
      if (!row?.after) continue;
      const changed: Partial<Record<Field, string>> = {};
      for (const [across, cell] of cells.entries()) {
        const field = fields[at.field + across];
        if (field && cell !== values(row, field).after) changed[field] = cell;
      }
      if (Object.keys(changed).length > 0 && !(await save(row, changed))) return;
    }
  };
  const onKey = (event: KeyboardEvent<HTMLElement>, row: RedlineRow, rowAt: number, fieldAt: number) => {
    if (editing !== null || event.target !== event.currentTarget) return;
    const moves: Record<string, [number, number]> = {
      ArrowDown: [rowAt + 1, fieldAt],
      ArrowUp: [rowAt - 1, fieldAt],
      ArrowRight: [rowAt, fieldAt + 1],
      ArrowLeft: [rowAt, fieldAt - 1],
      Home: [rowAt, 0],
      End: [rowAt, fields.length - 1],
    };
    const move = moves[event.key];
    const id = `${row.key} ${fieldAt}`;
    if (move) {
      event.preventDefault();
      focus(...move);
    } else if (redline.may_edit && row.after !== null) {
      if (
        event.key === 'Enter' ||
        event.key === 'F2' ||
        (event.key.length === 1 && !event.ctrlKey && !event.metaKey && /[\w.-]/.test(event.key))
      ) {
        event.preventDefault();
        event.stopPropagation();
        edit.reset();
        openCell(id);
      } else if (event.key === 'Delete') {
        event.preventDefault();
        remove(row);
      }
    }
  };

  if (rows.length === 0) {
    return (
      <p className="border-y border-rule py-3 text-soft">
        {only ? 'Nothing differs between before and after yet.' : 'It has no lines. Add the first one.'}
      </p>
    );
  }

  return (
    <div className="overflow-x-auto" onPaste={(event) => void paste(event)}>
      <table
        role="grid"
        aria-label="Before and after"
        aria-readonly={!redline.may_edit}
        className="w-full border-collapse border-y border-strong bg-sheet"
      >
        <thead>
          <tr className="border-b border-strong text-left text-sm text-soft">
            <th className="w-8 py-1 pl-2">
              <span className="sr-only">Difference</span>
            </th>
            {fields.map((field) => (
              <th
                key={field}
                className={clsx(
                  'px-2 py-1 font-medium',
                  field === 'quantity' && 'text-right',
                  field === 'component' && 'w-[26rem]',
                )}
              >
                {heads[field]}
              </th>
            ))}
            <th className="px-2 py-1 font-medium">Edited</th>
          </tr>
        </thead>
        <tbody ref={body}>
          {rows.map((row, rowAt) => (
            <Fragment key={row.key}>
              <tr className={clsx('group border-b border-rule align-baseline', `mark-${row.mark}`)}>
                <td className="py-1 pl-2">
                  <Mark value={row.mark} />
                </td>
                {fields.map((field, fieldAt) => (
                  <RedlineCell
                    key={field}
                    row={row}
                    field={field}
                    place={`${rowAt}-${fieldAt}`}
                    current={at.row === rowAt && at.field === fieldAt}
                    editing={editing === `${row.key} ${fieldAt}`}
                    invalid={touched === row.key && edit.error?.at(field) !== undefined}
                    onFocus={() => setAt({ row: rowAt, field: fieldAt })}
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
                ))}
                <td className="px-2 py-1 text-sm whitespace-nowrap text-soft" title={moment(row.edited_at)}>
                  {row.edited_by}
                  {redline.may_edit && row.after !== null && (
                    <button
                      type="button"
                      tabIndex={-1}
                      aria-label={`Remove line ${row.after.find}`}
                      className="invisible ml-2 text-alarm group-focus-within:visible group-hover:visible hover:underline"
                      onClick={() => remove(row)}
                    >
                      Remove
                    </button>
                  )}
                </td>
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
      {edit.error && touched !== null && !rows.some((row) => row.key === touched) && (
        <Notice look="alarm">{edit.error.message}</Notice>
      )}
    </div>
  );
}
