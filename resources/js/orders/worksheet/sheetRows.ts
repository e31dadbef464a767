import type { Schemas } from '../../lib/api';
import type { RedlineRow } from '../useRedline';

export type Worksheet = Schemas['WorksheetPage'];
export type Subject = Worksheet['subjects'][number];

/** A line of the worksheet, in a grid of lines before and after. */
export interface SheetRow extends RedlineRow {
  /** Its structure: a place in the list of subjects. */
  subject: number;
}

/** "3 0190…": the structure, and the line in it. */
const keyOf = (subject: number, line: string) => `${subject} ${line}`;

export function placeOf(key: string): { subject: number; line: string } {
  const [subject = '', line = ''] = key.split(' ');
  return { subject: Number(subject), line };
}

/** The rows as the grid reads them: the server tells once what is the same before and after. */
export function sheetRows(page: Worksheet): SheetRow[] {
  const titles = new Map(page.items.map(({ number, title }) => [number, { title }]));
  const begins = (row: Worksheet['rows'][number]) => row.line.first_day ?? '';
  // Of two lines with one find number, that which ends comes before that which begins.
  const rows = [...page.rows].sort(
    (a, b) => a.subject - b.subject || a.line.find - b.line.find || begins(a).localeCompare(begins(b)),
  );
  return rows.map((row) => {
    const after = row.mark === 'removed' ? null : row.line;
    const before = row.mark === 'added' ? null : (row.before ?? row.line);
    return {
      key: keyOf(row.subject, row.line.key),
      subject: row.subject,
      mark: row.mark,
      before,
      after,
      fields: row.fields,
      was_item: before === null ? null : (titles.get(before.component) ?? null),
      item: after === null ? null : (titles.get(after.component) ?? null),
      edited_by: row.edited_by,
      edited_at: row.edited_at,
    };
  });
}

/** "manufacturing:Weir" as people say it. */
export function workOf(work: string): string {
  if (work === 'engineering') return 'Engineering';
  return work === 'item_data' ? 'Item data' : `Manufacturing, ${work.split(':')[1] ?? ''}`;
}

export const whereOf = (subject: Subject | undefined) => (subject === undefined ? '' : workOf(subject.work));

/** What a row says, for whoever looks for words in it. */
function wordsOf(row: SheetRow, page: Worksheet, titles: Map<string, string>): string {
  const parent = page.subjects[row.subject]?.item ?? '';
  const lines = [row.before, row.after].flatMap((line) =>
    line === null ? [] : [line.component, titles.get(line.component) ?? '', line.designators, line.notes],
  );
  return [parent, titles.get(parent) ?? '', ...lines].join(' ').toLowerCase();
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
}

export function filtered(rows: SheetRow[], page: Worksheet, { words, work, parent, modelled }: Filter): SheetRow[] {
  const wanted = words.toLowerCase().split(/\s+/).filter(Boolean);
  if (wanted.length === 0 && work === '' && parent === '' && modelled === '') return rows;
  const titles = new Map(page.items.map(({ number, title }) => [number, title]));
  return rows.filter((row) => {
    const subject = page.subjects[row.subject];
    if ((work !== '' && subject?.work !== work) || (parent !== '' && subject?.item !== parent)) return false;
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
