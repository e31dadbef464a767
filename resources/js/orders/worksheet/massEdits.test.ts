import { describe, expect, it } from 'vitest';
import { line } from '../../testing/make';
import { copied, renumbered, replaced, subjectsOf } from './massEdits';
import { filtered, grouped, renewed, together, type Part, type SheetRow } from './sheetRows';

const row = (subject: number, find: number, component: string, more: Partial<SheetRow> = {}): SheetRow => {
  const of = line(find, component, { notes: 'cut to 0.5 m' });
  return {
    key: `${subject} line-${find}`,
    subject,
    mark: 'unchanged',
    before: of,
    after: of,
    fields: [],
    was_item: null,
    item: null,
    edited_by: null,
    task: null,
    edited_at: null,
    ...more,
  };
};
const rows = [row(0, 10, 'A'), row(0, 20, 'B'), row(1, 10, 'A'), row(1, 20, 'C', { after: null, mark: 'removed' })];

describe('finding and replacing', () => {
  it('replaces a component as a whole, everywhere it stands, and nothing that only begins like it', () => {
    expect(replaced([...rows, row(1, 30, 'AB')], 'component', 'A', 'X')).toEqual([
      { operation: 'replace', line: '0 line-10', fields: { component: 'X' } },
      { operation: 'replace', line: '1 line-10', fields: { component: 'X' } },
    ]);
  });

  it('replaces a part of a text, each time it stands there', () => {
    expect(replaced(rows.slice(0, 1), 'notes', '0.5', '0.6')[0]?.fields).toEqual({ notes: 'cut to 0.6 m' });
    expect(replaced(rows, 'notes', 'glue', 'paste')).toEqual([]);
  });

  it('fills what is empty where nothing is looked for', () => {
    expect(replaced(rows, 'designators', '', 'R1').map(({ line: key }) => key)).toEqual([
      '0 line-10',
      '0 line-20',
      '1 line-10',
    ]);
    expect(replaced(rows, 'notes', '', 'x')).toEqual([]);
  });
});

describe('renumbering', () => {
  it('begins anew in each structure, and leaves out what is removed or has its number', () => {
    expect(renumbered(rows, 10, 5).map((edit) => [edit.line, edit.fields.find])).toEqual([['0 line-20', '15']]);
    expect(renumbered(rows, 100, 10).map((edit) => [edit.line, edit.fields.find])).toEqual([
      ['0 line-10', '100'],
      ['0 line-20', '110'],
      ['1 line-10', '100'],
    ]);
  });
});

describe('copying and moving', () => {
  it('adds the lines after the last of the other structure', () => {
    const edits = copied(rows.slice(0, 2), rows, 1, false);
    expect(edits.map((edit) => [edit.operation, edit.beside, edit.fields.find, edit.fields.component])).toEqual([
      ['add', '1 ', '20', 'A'],
      ['add', '1 ', '30', 'B'],
    ]);
    expect(subjectsOf(edits)).toEqual([1]);
  });

  it('takes them out where they were when they are moved', () => {
    const edits = copied(rows.slice(0, 1), rows, 1, true);
    expect(edits.map((edit) => edit.operation)).toEqual(['add', 'remove']);
    expect(subjectsOf(edits)).toEqual([1, 0]);
    expect(copied(rows.slice(0, 1), rows, 0, true)).toEqual([]);
  });
});

describe('the rows of a worksheet', () => {
  const part: Part = {
    order: 'ECO-00090',
    order_title: 'Thicker tube',
    state: 'revising',
    is_open: true,
    may_edit: true,
    can_undo: false,
    can_redo: false,
    subjects: [
      { item: '200-0010', work: 'engineering', seen: 0, moved_on: false, may_edit: true },
      { item: '200-0010', work: 'manufacturing:Weir', seen: 0, moved_on: false, may_edit: true },
    ],
    items: [
      { number: '200-0010', title: 'Pump head', unit: 'pc' },
      { number: '200-0040', title: 'Pump tube', unit: 'm' },
      { number: '600-0014', title: 'Screw', unit: 'pc' },
    ],
    rows: [
      {
        subject: 0,
        mark: 'added',
        line: line(10, '200-0040', { first_day: '2027-03-01' }),
        before: null,
        fields: [],
        edited_by: null,
        task: null,
        edited_at: null,
      },
      {
        subject: 0,
        mark: 'removed',
        line: line(10, '600-0014', { key: 'gone' }),
        before: null,
        fields: [],
        edited_by: null,
        task: null,
        edited_at: null,
      },
      {
        subject: 1,
        mark: 'unchanged',
        line: line(30, '600-0014', { not_modelled: true }),
        before: null,
        fields: [],
        edited_by: null,
        task: null,
        edited_at: null,
      },
    ],
    next: null,
    items_in_all: 2,
  };
  const page = together([part]);
  const all = page.rows;

  it('read as before and after, what ends before what begins', () => {
    const [gone, added, same] = all;
    expect([gone?.before?.component, gone?.after]).toEqual(['600-0014', null]);
    expect([added?.before, added?.after?.component, added?.item?.title]).toEqual([null, '200-0040', 'Pump tube']);
    expect(same?.before).toBe(same?.after);
  });

  it('are narrowed down by words, structure and parent, and stand by component when asked', () => {
    const only = (more: Partial<Parameters<typeof filtered>[2]>) =>
      filtered(all, page, { words: '', work: '', parent: '', modelled: '', task: '', ...more }).length;
    expect([only({}), only({ words: 'screw' }), only({ words: 'PUMP tube' }), only({ work: 'engineering' })]).toEqual([
      3, 2, 1, 2,
    ]);
    expect([only({ parent: '200-0010' }), only({ parent: '100-0001' })]).toEqual([3, 0]);
    expect([only({ modelled: 'no' }), only({ modelled: 'yes' }), only({ modelled: 'no', words: 'tube' })]).toEqual([
      1, 2, 0,
    ]);
    expect(grouped(all, 'component').map((one) => (one.after ?? one.before)?.component)).toEqual([
      '200-0040',
      '600-0014',
      '600-0014',
    ]);
  });

  const motor: Part = {
    ...part,
    subjects: [{ item: '200-0020', work: 'engineering', seen: 2, moved_on: false, may_edit: true }],
    items: [{ number: '200-0020', title: 'Motor', unit: 'pc' }],
    rows: part.rows.slice(2).map((row) => ({ ...row, subject: 0 })),
  };

  it('come in parts, and count their structures through all of them', () => {
    const both = together([{ ...part, next: 7 }, motor]);
    expect(both.subjects.map(({ item }) => item)).toEqual(['200-0010', '200-0010', '200-0020']);
    expect(both.rows.map(({ subject }) => subject)).toEqual([0, 0, 1, 2]);
    expect([together([{ ...part, next: 7 }]).reading, both.reading]).toEqual([true, false]);
    // What was put together once stays what it is.
    expect(together([part]).rows[0]).toBe(all[0]);
  });

  it('are renewed where somebody edited, and nowhere else', () => {
    const now: Part = {
      ...part,
      can_undo: true,
      rows: part.rows.filter(({ mark }) => mark !== 'removed').map((row) => ({ ...row, fields: ['notes'] })),
    };
    const next = renewed([motor, part], ['200-0010'], now);
    expect(next?.map(({ subjects }) => subjects.length)).toEqual([1, 2]);
    expect(next?.[1]?.rows.map(({ subject, fields }) => [subject, ...fields])).toEqual([
      [0, 'notes'],
      [1, 'notes'],
    ]);
    expect(next?.map(({ can_undo }) => can_undo)).toEqual([true, true]);
    expect(next?.[0]?.rows).toBe(motor.rows);
    // What is not changed any more goes; what was not there before is for a reading of all.
    expect(renewed([part, motor], ['200-0020'], { ...motor, subjects: [], rows: [] })?.[1]?.subjects).toEqual([]);
    expect(renewed([part], ['200-0020'], motor)).toBeUndefined();
  });
});
