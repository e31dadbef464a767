import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schemas } from '../../lib/api';
import { done } from '../../testing/done';
import { line } from '../../testing/make';
import { noConsequences } from '../../testing/noConsequences';
import { Refused, server } from '../../testing/server';
import { address, choose, show } from '../../testing/show';
import { WorksheetPage } from './WorksheetPage';

type Row = Schemas['WorksheetRow'];

const SHEET = '/api/orders/ECO-00090/worksheet';
const row = (subject: number, find: number, component: string, more: Partial<Row> = {}): Row => ({
  subject,
  mark: 'unchanged',
  line: line(find, component, { key: `key-${subject}-${find}`, quantity: '2' }),
  before: null,
  fields: [],
  edited_by: null,
  task: null,
  edited_at: null,
  ...more,
});

const part = (more: Partial<Schemas['WorksheetPage']> = {}): Schemas['WorksheetPage'] => ({
  order: 'ECO-00090',
  order_title: 'Thicker tube',
  state: 'revising',
  is_open: true,
  may_edit: true,
  can_undo: true,
  can_redo: false,
  subjects: [
    { item: '200-0010', work: 'engineering', seen: 3, moved_on: false, may_edit: true },
    { item: '200-0020', work: 'manufacturing:Weir', seen: 0, moved_on: false, may_edit: true },
  ],
  items: [
    { number: '200-0010', title: 'Pump head', unit: 'pc' },
    { number: '200-0020', title: 'Motor', unit: 'pc' },
    { number: '200-0042', title: 'Clamp', unit: 'pc' },
    { number: '600-0014', title: 'Screw', unit: 'pc' },
  ],
  rows: [row(0, 10, '600-0014'), row(0, 20, '200-0042'), row(1, 10, '600-0014')],
  next: null,
  items_in_all: 2,
  ...more,
});

async function open(answer: Parameters<typeof server.on>[1], query = '') {
  server
    .on('GET /api/favourites', [])
    .on('GET /api/orders/ECO-00090/consequences', noConsequences)
    .on(`GET ${SHEET}`, answer)
    .on(`POST ${SHEET}`, { ...done('ECO-00090'), stroke: 'stroke-1' });
  const user = await show(<WorksheetPage />, {
    at: `/orders/ECO-00090/worksheet${query}`,
    path: '/orders/:number/worksheet',
  });
  await screen.findByRole('grid', { name: 'Before and after' });
  return user;
}

const bodies = () => server.asked(`POST ${SHEET}`).map((call) => call.body as Schemas['WorksheetEdits']);

describe('the worksheet of an order', () => {
  it('edits a cell in its own structure, against what was seen of it', async () => {
    const user = await open(part());
    const cells = screen.getAllByRole('gridcell', { name: '2' });
    cells[2]?.focus();
    await user.keyboard('5{Enter}');
    await waitFor(() => expect(bodies()).toHaveLength(1));
    expect(bodies()[0]).toEqual({
      edits: [
        {
          item: '200-0020',
          work: 'manufacturing:Weir',
          operation: 'change',
          line: 'key-1-10',
          fields: { quantity: '5' },
        },
      ],
      seen: [{ item: '200-0020', work: 'manufacturing:Weir', seen: 0 }],
    });
  });

  it('fills down what is marked, over structures, in one act', async () => {
    const user = await open(
      part({
        rows: [
          row(0, 10, '600-0014', { line: line(10, '600-0014', { quantity: '7' }) }),
          row(0, 20, '200-0042'),
          row(1, 10, '600-0014'),
        ],
      }),
    );
    screen.getByRole('gridcell', { name: '7' }).focus();
    await user.keyboard('{Shift>}{ArrowDown}{ArrowDown}{/Shift}{Control>}d{/Control}');
    await waitFor(() => expect(bodies()).toHaveLength(1));
    expect(bodies()[0]?.edits.map(({ item, fields }) => [item, fields])).toEqual([
      ['200-0010', { quantity: '7' }],
      ['200-0020', { quantity: '7' }],
    ]);
    expect(bodies()[0]?.seen).toHaveLength(2);
  });

  it('finds and replaces in the rows on screen only', async () => {
    const user = await open(part(), '?work=engineering');
    expect(screen.getByText('2 of 3 lines')).toBeTruthy();
    await user.keyboard('vf');
    await choose(user, 'In column', 'Quantity');
    await user.type(screen.getByLabelText('Look for'), '2');
    await user.type(screen.getByLabelText('Replace by'), '3');
    await user.click(screen.getByRole('button', { name: 'Replace in 2 cells' }));
    await waitFor(() => expect(bodies()).toHaveLength(1));
    expect(bodies()[0]?.edits.map(({ line: key, fields }) => [key, fields.quantity])).toEqual([
      ['key-0-10', '3'],
      ['key-0-20', '3'],
    ]);
  });

  it('pastes a block; what goes beyond the last line is new in the structure of that one', async () => {
    const user = await open(part());
    const last = screen.getAllByRole('gridcell', { name: /600-0014/ })[1] ?? document.body;
    await user.click(last);
    fireEvent.paste(last, {
      clipboardData: { getData: () => '600-0014\t4\n200-0042\t6' },
    });
    await waitFor(() => expect(bodies()).toHaveLength(1));
    expect(bodies()[0]?.edits).toEqual([
      {
        item: '200-0020',
        work: 'manufacturing:Weir',
        operation: 'change',
        line: 'key-1-10',
        fields: { quantity: '4' },
      },
      {
        item: '200-0020',
        work: 'manufacturing:Weir',
        operation: 'add',
        line: '',
        fields: { find: '20', component: '200-0042', quantity: '6' },
      },
    ]);
  });

  it('renumbers what is marked, and copies it to another structure', async () => {
    const user = await open(part());
    await user.click(screen.getByRole('button', { name: 'Renumber' }));
    screen.getAllByRole('gridcell', { name: '2' })[0]?.focus();
    await user.keyboard('{Shift>}{ArrowDown}{/Shift}');
    await user.clear(screen.getByLabelText('Start'));
    await user.type(screen.getByLabelText('Start'), '100');
    await user.click(screen.getByRole('button', { name: 'Renumber 2 lines' }));
    await waitFor(() => expect(bodies()[0]?.edits.map(({ fields }) => fields.find)).toEqual(['100', '110']));
    await user.click(screen.getByRole('button', { name: 'Copy or move' }));
    await choose(user, 'To', '200-0020 Motor, Manufacturing, Weir');
    await user.click(screen.getByRole('button', { name: 'Move' }));
    await waitFor(() => expect(bodies()).toHaveLength(2));
    expect(bodies()[1]?.edits.map(({ operation, item }) => [operation, item])).toEqual([
      ['add', '200-0020'],
      ['remove', '200-0010'],
      ['add', '200-0020'],
      ['remove', '200-0010'],
    ]);
  });

  it('adds a line between two of the structure one is in', async () => {
    const user = await open(part());
    screen.getAllByRole('gridcell', { name: '2' })[0]?.focus();
    await user.keyboard('{Insert}');
    expect(screen.getByText(/New line of/).textContent).toContain('200-0010');
    expect(screen.getByLabelText<HTMLInputElement>('Find').value).toBe('15');
  });

  it('is undone as one, and says what was refused at its row', async () => {
    const user = await open(part());
    server.on('POST /api/orders/ECO-00090/undo', { ...done('ECO-00090'), items: ['200-0010'] });
    await user.click(screen.getByRole('button', { name: 'Undo' }));
    await waitFor(() => expect(server.asked('POST /api/orders/ECO-00090/undo')).toHaveLength(1));
    server.on(`POST ${SHEET}`, new Refused(422, 'No.', { 'edits.0.quantity': ['0 is no quantity.'] }));
    screen.getAllByRole('gridcell', { name: '2' })[0]?.focus();
    await user.keyboard('0{Enter}');
    expect((await screen.findByRole('alert')).textContent).toContain('0 is no quantity.');
  });

  it('keeps what a task does not edit as it is, and narrows down to what was done under it', async () => {
    const [mine, others] = part().subjects;
    if (mine === undefined || others === undefined) throw new Error('There are two.');
    const user = await open(
      part({
        subjects: [mine, { ...others, may_edit: false }],
        rows: [row(0, 10, '600-0014', { edited_by: 'Edda Roth', task: 'T-00009' }), row(1, 10, '600-0014')],
      }),
    );
    expect(screen.getAllByRole('button', { name: 'Remove line 10' })).toHaveLength(1);
    expect(screen.getByText(/T-00009 Edda Roth/)).toBeTruthy();
    await user.click(screen.getByRole('combobox', { name: 'Task' }));
    await user.click(await screen.findByRole('option', { name: 'T-00009' }));
    expect(await screen.findByText('1 of 2 lines')).toBeTruthy();
  });

  it('is read by whoever does not edit, and the address keeps what is looked at', async () => {
    const user = await open(part({ may_edit: false }));
    expect(screen.getByText('Only the editor of the order edits, and who has a task for it.')).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Undo' })).toBeNull();
    await user.type(screen.getByLabelText('Parent, component, notes'), 'motor');
    await waitFor(() => expect(address()).toContain('words=motor'));
    await waitFor(() => expect(screen.getByText('1 of 3 lines')).toBeTruthy());
  });

  it('is there with its first lines, reads the others meanwhile, and only then looks for something in all of them', async () => {
    let come: () => void = () => undefined;
    const waiting = new Promise<void>((done) => {
      come = done;
    });
    await open(async ({ query }: { query: Record<string, string> }) => {
      if (query.from === '0') return part({ next: 71, items_in_all: 3 });
      await waiting;
      return part({
        subjects: [{ item: '200-0030', work: 'engineering', seen: 0, moved_on: false, may_edit: true }],
        rows: [row(0, 10, '600-0014')],
        items_in_all: 3,
      });
    });
    expect(screen.getByText('Reading lines… 2 of 3 items')).toBeTruthy();
    expect(screen.getByRole<HTMLButtonElement>('button', { name: /Find and replace/ }).disabled).toBe(true);
    come();
    await waitFor(() => expect(screen.getByText('4 lines of 3 structures')).toBeTruthy());
    expect(screen.getByRole<HTMLButtonElement>('button', { name: /Find and replace/ }).disabled).toBe(false);
    expect(server.asked(`GET ${SHEET}`).map(({ query }) => query.from)).toEqual(['0', '71']);
  });

  it('says when further lines could not be read, and reads them when asked to', async () => {
    let down = true;
    const user = await open(({ query }: { query: Record<string, string> }) => {
      if (query.from === '0') return part({ next: 71, items_in_all: 3 });
      return down
        ? new Refused(422, 'The database is away.')
        : part({
            subjects: [{ item: '200-0030', work: 'engineering', seen: 0, moved_on: false, may_edit: true }],
            rows: [row(0, 10, '600-0014')],
            items_in_all: 3,
          });
    });
    expect(await screen.findByText(/Not all lines could be read/)).toBeTruthy();
    expect(screen.getByText('Lines of 2 of 3 items')).toBeTruthy();
    down = false;
    await user.click(screen.getByRole('button', { name: 'Read them' }));
    await waitFor(() => expect(screen.getByText('4 lines of 3 structures')).toBeTruthy());
    expect(screen.queryByText(/Not all lines could be read/)).toBeNull();
  });

  it('reads only the lines of what was edited anew', async () => {
    const user = await open(({ query }: { query: Record<string, string> }) =>
      query.items === '200-0020'
        ? part({
            subjects: [{ item: '200-0020', work: 'manufacturing:Weir', seen: 1, moved_on: false, may_edit: true }],
            rows: [row(0, 10, '600-0014', { line: line(10, '600-0014', { quantity: '5' }) })],
          })
        : part(),
    );
    screen.getAllByRole('gridcell', { name: '2' })[2]?.focus();
    await user.keyboard('5{Enter}');
    await screen.findByRole('gridcell', { name: '5' });
    expect(server.asked(`GET ${SHEET}`).map(({ query }) => query)).toEqual([{ from: '0' }, { items: '200-0020' }]);
    // The next edit is made against what is there now.
    screen.getByRole('gridcell', { name: '5' }).focus();
    await user.keyboard('6{Enter}');
    await waitFor(() => expect(bodies()[1]?.seen).toEqual([{ item: '200-0020', work: 'manufacturing:Weir', seen: 1 }]));
  });
});
