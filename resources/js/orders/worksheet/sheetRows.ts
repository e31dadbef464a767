import type { Schemas } from '../../lib/api';
import type { RedlineRow } from '../useRedline';

export type Part = Schemas['WorksheetPage'];
export type Subject = Part['subjects'][number];

/** A line of the worksheet, in a grid of lines before and after. */
export interface SheetRow extends RedlineRow {
  /** Its structure: a place in the list of subjects. */
  subject: number;
}

/** All that is there so far of the lines of an order. */
export interface Worksheet extends Omit<Part, 'rows' | 'next'> {
  rows: SheetRow[];
  /** Whether more lines are to come. */
  reading: boolean;
}

/** "3 0190…": the structure, and the line in it. */
const keyOf = (subject: number, line: string) => `${subject} ${line}`;

export function placeOf(key: string): { subject: number; line: string } {
  const [subject = '', line = ''] = key.split(' ');
  return { subject: Number(subject), line };
}

/** The rows of a part as the grid reads them: the server tells once what is the same before and after. */
function rowsOf(part: Part, offset: number): SheetRow[] {
  const titles = new Map(part.items.map((item) => [item.number, item]));
  const begins = (row: Part['rows'][number]) => row.line.first_day ?? '';
  // Of two lines with one find number, that which ends comes before that which begins.
  const rows = [...part.rows].sort(
    (a, b) => a.subject - b.subject || a.line.find - b.line.find || begins(a).localeCompare(begins(b)),
  );
  return rows.map((row) => {
    const after = row.mark === 'removed' ? null : row.line;
    const before = row.mark === 'added' ? null : (row.before ?? row.line);
    const subject = row.subject + offset;
    return {
      key: keyOf(subject, row.line.key),
      subject,
      mark: row.mark,
      before,
      after,
      fields: row.fields,
      was_item: before === null ? null : (titles.get(before.component) ?? null),
      item: after === null ? null : (titles.get(after.component) ?? null),
      edited_by: row.edited_by,
      edited_at: row.edited_at,
      task: row.task,
    };
  });
}

/** Parts that have not changed since are not put together again. */
const known = new WeakMap<Part, { offset: number; rows: SheetRow[] }>();

function knownRows(part: Part, offset: number): SheetRow[] {
  const before = known.get(part);
  if (before?.offset === offset) return before.rows;
  const rows = rowsOf(part, offset);
  known.set(part, { offset, rows });
  return rows;
}

/** The parts in which the lines came as one worksheet. */
export function together(parts: [Part, ...Part[]]): Worksheet {
  const subjects: Subject[] = [];
  const rows: SheetRow[][] = [];
  const items = new Map<string, Part['items'][number]>();
  for (const part of parts) {
    rows.push(knownRows(part, subjects.length));
    subjects.push(...part.subjects);
    for (const item of part.items) items.set(item.number, item);
  }
  return {
    ...parts[0],
    subjects,
    items: [...items.values()],
    rows: rows.flat(),
    reading: parts.at(-1)?.next != null,
  };
}

/** The rows of each subject of a part, by its place. */
function bySubject(part: Part): Part['rows'][] {
  const rows: Part['rows'][] = part.subjects.map(() => []);
  for (const row of part.rows) rows[row.subject]?.push(row);
  return rows;
}

/**
 * The same parts with the lines of some items as they read now. Nothing when one of the items had no lines before: then all is to be
 * read anew.
 */
export function renewed(parts: Part[], items: string[], now: Part): Part[] | undefined {
  const { can_undo, can_redo, may_edit, state, is_open } = now;
  const asked = new Set(items);
  const missing = new Set(now.subjects.map(({ item }) => item));
  const fresh = bySubject(now);
  const next = parts.map((part, at): Part => {
    const head = { ...part, can_undo, can_redo, may_edit, state, is_open };
    // Another part stays the same object, so that its rows are known.
    if (!part.subjects.some(({ item }) => asked.has(item))) return at === 0 ? head : part;
    const subjects: Subject[] = [];
    const rows: Part['rows'] = [];
    const take = (subject: Subject, some: Part['rows'] = []) => {
      rows.push(...some.map((row) => ({ ...row, subject: subjects.length })));
      subjects.push(subject);
    };
    const old = bySubject(part);
    part.subjects.forEach((subject, place) => {
      if (!asked.has(subject.item)) take(subject, old[place]);
      else if (missing.delete(subject.item))
        now.subjects.forEach((one, here) => one.item === subject.item && take(one, fresh[here]));
    });
    const named = new Map([...part.items, ...now.items].map((item) => [item.number, item]));
    return { ...head, subjects, rows, items: [...named.values()] };
  });
  return missing.size === 0 ? next : undefined;
}

/** "manufacturing:Weir" as people say it. */
export function workOf(work: string): string {
  if (work === 'engineering') return 'Engineering';
  if (work === 'order') return 'Order';
  return work === 'item_data' ? 'Item data' : `Manufacturing, ${work.split(':')[1] ?? ''}`;
}

export const whereOf = (subject: Subject | undefined) => (subject === undefined ? '' : workOf(subject.work));

/** What a row says, for whoever looks for words in it. */
function wordsOf(row: SheetRow, page: Worksheet, titles: Map<string, string>): string {
  const parent = page.subjects[row.subject]?.item ?? '';
  const lines = [row.before, row.after].flatMap((line) =>
    line === null ? [] : [line.component, titles.get(line.component) ?? '', line.designators, line.notes],
  );
  return [parent, titles.get(parent) ?? '', ...lines, row.edited_by, row.task].join(' ').toLowerCase();
}

export interface Filter {
  /** All of them have to stand in the row. */
  words: string;
  /** "engineering", "manufacturing:Weir"; empty: all. */
  work: string;
  /** The number of a parent; empty: all. */
  parent: string;
  /** Whether a design model has the line: "yes" or "no"; empty: both. */
  modelled: string;
  /** The number of the task under which it was edited last; empty: all. */
  task: string;
}

export function filtered(
  rows: SheetRow[],
  page: Worksheet,
  { words, work, parent, modelled, task }: Filter,
): SheetRow[] {
  const wanted = words.toLowerCase().split(/\s+/).filter(Boolean);
  if (wanted.length === 0 && work === '' && parent === '' && modelled === '' && task === '') return rows;
  const titles = new Map(page.items.map(({ number, title }) => [number, title]));
  return rows.filter((row) => {
    const subject = page.subjects[row.subject];
    if ((work !== '' && subject?.work !== work) || (parent !== '' && subject?.item !== parent)) return false;
    if (task !== '' && row.task !== task) return false;
    const line = row.after ?? row.before;
    if (modelled !== '' && (modelled === 'no') !== line?.not_modelled) return false;
    const text = wanted.length === 0 ? '' : wordsOf(row, page, titles);
    return wanted.every((word) => text.includes(word));
  });
}

/** By parent as the server tells them, or by component: all uses of one beside each other. */
export function grouped(rows: SheetRow[], by: 'parent' | 'component'): SheetRow[] {
  if (by === 'parent') return rows;
  const component = (row: SheetRow) => (row.after ?? row.before)?.component ?? '';
  return [...rows].sort((a, b) => component(a).localeCompare(component(b), 'en', { numeric: true }));
}
