import type { UseMutationResult } from '@tanstack/react-query';
import { useRef, useState, type ClipboardEvent, type KeyboardEvent, type RefObject } from 'react';
import type { ApiProblem } from '../lib/api';
import { today } from '../lib/format';
import { fromTabs, toTabs } from '../ui/tableText';
import { pasteBlock, written } from './pasteBlock';
import { values, type Field } from './redlineFields';
import type { Done, LineEdit, RedlineRow } from './useRedline';

export interface Editing {
  edit: UseMutationResult<Done, ApiProblem, LineEdit>;
  /** Several edits, all of them or none. */
  several: UseMutationResult<Done, ApiProblem, LineEdit[]>;
  mayEdit: boolean;
  onAdd?: (() => void) | undefined;
  /** With Alt and an arrow: the edit that moves a line to what is above or below it, where there is one. */
  moved?: ((row: RedlineRow, by: -1 | 1) => LineEdit | null) | undefined;
  /** The same of the lines that are marked: the edit that moves them, or why there is none. */
  reorder?: ((marked: RedlineRow[], by: -1 | 1) => LineEdit | string) | undefined;
  /** Brings a row that is not drawn into sight. */
  show?: ((row: number) => void) | undefined;
}

interface Place {
  row: number;
  field: number;
}

/** Where one is in a grid of lines before and after, what is marked and what is open, and what the keys do. */
export function useRedlineGrid(
  rows: RedlineRow[],
  fields: Field[],
  body: RefObject<HTMLTableSectionElement | null>,
  { edit, several, mayEdit, onAdd, moved, reorder, show }: Editing,
) {
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
    show?.(next.row);
    const cell = () => body.current?.querySelector<HTMLElement>(`[data-cell="${next.row}-${next.field}"]`);
    if (cell()) cell()?.focus();
    // It is drawn in a moment.
    else setTimeout(() => cell()?.focus());
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
    if (!mayEdit || editing !== null || block.length === 0) return;
    event.preventDefault();
    const result = pasteBlock(block, { row: top, field: left }, rows, fields, today());
    setMisfit('reason' in result ? `Nothing was pasted. ${result.reason}` : null);
    several.reset();
    if ('edits' in result && result.edits.length > 0) several.mutate(result.edits);
  };
  const copy = () => {
    const block = fields
      .slice(left, right + 1)
      .map((field) => ({ head: field, text: (row: RedlineRow) => values(row, field).after ?? '' }));
    void navigator.clipboard.writeText(toTabs(block, rows.slice(top, bottom + 1)));
  };
  /** The cells of the first marked row go into those below it. */
  const fillDown = () => {
    const [first, ...below] = rows.slice(top, bottom + 1);
    if (first === undefined) return;
    const edits = below.flatMap((one): LineEdit[] => {
      if (one.after === null) return [];
      const changed = Object.fromEntries(
        fields
          .slice(left, right + 1)
          .map((field) => [field, values(first, field).after ?? ''] as const)
          .filter(([field, text]) => text !== (values(one, field).after ?? '')),
      );
      return Object.keys(changed).length === 0
        ? []
        : [{ operation: changed.component === undefined ? 'change' : 'replace', line: one.key, fields: changed }];
    });
    if (edits.length > 0) several.mutate(edits);
  };
  const onKey = (event: KeyboardEvent, row: RedlineRow, rowAt: number, fieldAt: number) => {
    if (editing !== null) return;
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
    const move = event.altKey ? undefined : moves[event.key];
    const id = `${row.key} ${fieldAt}`;
    const types = event.key.length === 1 && event.key !== ' ' && !mod && !event.altKey;
    if (move) {
      event.preventDefault();
      focus(...move, event.shiftKey);
    } else if (mod && event.key.toLowerCase() === 'c') {
      event.preventDefault();
      copy();
    } else if (mayEdit && mod && event.key.toLowerCase() === 'd') {
      event.preventDefault();
      fillDown();
    } else if (event.key === 'Escape') {
      setAnchor(at);
      setMisfit(null);
    } else if (mayEdit && event.altKey && moved && (event.key === 'ArrowUp' || event.key === 'ArrowDown')) {
      event.preventDefault();
      const by = event.key === 'ArrowUp' ? -1 : 1;
      const edits = rows.slice(top, bottom + 1).flatMap((one) => (one.after === null ? [] : (moved(one, by) ?? [])));
      if (edits.length > 0) several.mutate(edits);
    } else if (mayEdit && event.altKey && reorder && (event.key === 'ArrowUp' || event.key === 'ArrowDown')) {
      event.preventDefault();
      const by = event.key === 'ArrowUp' ? -1 : 1;
      const done = reorder(rows.slice(top, bottom + 1), by);
      setMisfit(typeof done === 'string' ? `Nothing was moved. ${done}` : null);
      if (typeof done !== 'string') {
        several.mutate([done]);
        setAt({ row: at.row + by, field: at.field });
        setAnchor({ row: anchor.row + by, field: anchor.field });
      }
    } else if (mayEdit && event.key === 'Insert') {
      event.preventDefault();
      onAdd?.();
    } else if (mayEdit && event.key === 'Delete') {
      event.preventDefault();
      remove(rows.slice(top, bottom + 1).filter((one) => one.after !== null));
    } else if (mayEdit && row.after !== null && (event.key === 'Enter' || event.key === 'F2' || types)) {
      event.preventDefault();
      event.stopPropagation();
      edit.reset();
      openCell(id, types ? event.key : null);
    }
  };

  /** The focus came to a cell; what Shift has marked stays marked while it does. */
  const focused = (row: number, field: number) => {
    setAt({ row, field });
    if (!extending.current) setAnchor({ row, field });
    extending.current = false;
  };

  return {
    at,
    /** The rows that are marked; the one that one is in, where none is. */
    block: rows.slice(top, bottom + 1),
    focused,
    /** The first and the last field that are marked in a row, where several cells are. */
    marked: (row: number): [number, number] | null => (isBlock && row >= top && row <= bottom ? [left, right] : null),
    /** The field that is open in a row. */
    editing: (row: RedlineRow) =>
      editing?.startsWith(`${row.key} `) ? Number(editing.slice(row.key.length + 1)) : null,
    /** Says why something was not done. */
    setMisfit,
    begun,
    misfit,
    touched,
    focus,
    remove,
    commit,
    paste,
    onKey,
    openCell,
  };
}
