import { screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../../lib/api';
import { line, thicker, tube } from '../../testing/make';
import { Refused, server } from '../../testing/server';
import { address, choose, show } from '../../testing/show';
import { ComparePage } from './ComparePage';

const side = (more: Partial<Schemas['ComparisonSide']> = {}): Schemas['ComparisonSide'] => ({
  number: '200-0010',
  title: 'Pump head',
  kind: 'engineering',
  plant: '',
  on: '2026-11-25',
  revision: null,
  order: null,
  file: null,
  ...more,
});
const row = (
  kind: Schemas['CompareRow']['kind'],
  more: Partial<Schemas['CompareRow']> = {},
): Schemas['CompareRow'] => ({
  way: ['100-0012', '200-0001'],
  parent_before: '200-0010',
  parent_after: '200-0010',
  find: 50,
  kind,
  before: null,
  after: null,
  was_item: null,
  item: null,
  fields: [],
  ...more,
});
const rows = [
  row('replaced', {
    before: line(50, tube.number, { quantity: '0.5', unit: 'm' }),
    after: line(50, thicker.number, { quantity: '0.45', unit: 'm', designators: 'P1', notes: 'wall 2.4 mm' }),
    was_item: tube,
    item: thicker,
    fields: ['component', 'quantity', 'designators', 'notes'],
  }),
  row('added', { way: [], find: 80, after: line(80, '710-0001', { quantity: '2', unit: 'g' }) }),
  row('moved', { parent_before: '200-0002', find: 60, before: line(60, '600-0012'), after: line(60, '600-0012') }),
  row('changed', {
    find: 70,
    before: line(70, '600-0014', { last_day: null, phantom: true, operation: 20, revision: 'A' }),
    after: line(70, '600-0014', { last_day: '2027-04-13', first_day: '2027-01-01', not_modelled: true }),
    fields: ['first_day', 'last_day', 'phantom', 'not_modelled', 'operation', 'revision', 'find', 'unit'],
  }),
];

async function compare(at: string, more: Partial<Schemas['ComparisonPage']> = {}) {
  // Nothing is laid out here: the window is told that it sees all of it.
  vi.spyOn(HTMLElement.prototype, 'clientHeight', 'get').mockReturnValue(800);
  server
    .on('GET /api/favourites', [])
    .on('GET /api/items', [tube])
    .on('GET /api/comparison', {
      left: side({ revision: 'A' }),
      right: side({ order: 'ECO-00090' }),
      all_levels: true,
      totals: { added: 1, replaced: 1, moved: 1, changed: 1, unchanged: 1204 },
      count: rows.length,
      rows,
      ...more,
    });
  return show(<ComparePage />, { at });
}

const BOTH = '/?left=200-0010&right=200-0010&left_revision=A&right_order=ECO-00090';
const lastAsked = () => server.asked('GET /api/comparison').at(-1)?.query;

describe('comparing two structures', () => {
  it('says what to name before there is anything to compare', async () => {
    await compare('/');
    expect(screen.getByText(/Choose what to compare/)).toBeTruthy();
    expect(server.asked('GET /api/comparison')).toEqual([]);
  });

  it('says on which terms each side is read, and how much is the same', async () => {
    await compare(BOTH);
    expect((await screen.findByText(/engineering structure, revision A/i)).closest('p')?.textContent).toMatch(
      /against 200-0010 Pump head, engineering.*after ECO-00090/,
    );
    expect(screen.getByText('1 204 lines are the same')).toBeTruthy();
  });

  it('names a day, a plant and a file', async () => {
    await compare(BOTH, {
      left: side({ kind: 'manufacturing', plant: 'Tarn' }),
      right: side({ file: 'pump-head.xlsx' }),
    });
    expect((await screen.findByText(/plant Tarn, as of 25 Nov 2026/)).textContent).toContain('200-0010');
    expect(screen.getByText(/as in pump-head.xlsx/)).toBeTruthy();
  });

  it('shows where each line stands, what it was and what it is', async () => {
    await compare(BOTH);
    const [, replaced, added, moved, changed] = await screen.findAllByRole('row');
    expect(replaced?.textContent).toContain('100-0012 › 200-0001 › 200-0010');
    expect(replaced?.textContent).toMatch(/wall 1.6 mm.*Quantity 0.5 m.*Designators none.*Notes none/);
    expect(replaced?.textContent).toMatch(/wall 2.4 mm.*Quantity 0.45 m.*Designators P1.*Notes wall 2.4 mm/);
    expect(added?.textContent).toMatch(/added.*—710-0001 Quantity 2 g/);
    expect(moved?.textContent).toContain('200-0010 from 200-0002');
    expect(changed?.textContent).toMatch(/First day open.*Last day open.*Phantom yes.*Not modelled no.*Operation 20/);
    expect(changed?.textContent).toMatch(/First day 1 Jan 2027.*Last day 13 Apr 2027.*Phantom no.*Operation none/);
    expect(changed?.textContent).toMatch(/Fixed revision A.*Fixed revision none/);
  });

  it('leaves out kinds of difference, and takes them in again', async () => {
    const user = await compare(BOTH);
    const kinds = within(await screen.findByRole('group', { name: 'Kinds of difference' }));
    await user.click(kinds.getByRole('checkbox', { name: /added/ }));
    await waitFor(() => expect(lastAsked()?.kinds).toBe('removed,replaced,changed,renumbered,moved'));
    await user.click(kinds.getByRole('checkbox', { name: /added/ }));
    await waitFor(() => expect(lastAsked()?.kinds).toBeUndefined());
  });

  it('goes one level deep or all', async () => {
    const user = await compare(BOTH);
    await user.click(await screen.findByRole('radio', { name: 'One level' }));
    await waitFor(() => expect(lastAsked()?.levels).toBe('one'));
  });

  it('swaps its sides, with all that belongs to each', async () => {
    const user = await compare(BOTH);
    await user.click(screen.getByRole('button', { name: 'Swap sides' }));
    expect(Object.fromEntries(new URLSearchParams(address().slice(2)))).toEqual({
      right: '200-0010',
      left: '200-0010',
      right_revision: 'A',
      left_order: 'ECO-00090',
    });
  });

  it('takes a revision when it is typed to the end; an order goes then', async () => {
    const user = await compare(BOTH);
    await user.type(screen.getByLabelText('Revision, after'), 'B{Enter}');
    await waitFor(() => expect(lastAsked()).toMatchObject({ right_revision: 'B' }));
    expect(lastAsked()?.right_order).toBeUndefined();
    await choose(user, 'Structure, after', 'Manufacturing structure');
    await waitFor(() => expect(lastAsked()).toMatchObject({ right_kind: 'manufacturing' }));
    expect(screen.getByRole('combobox', { name: 'Plant, after' })).toBeTruthy();
  });

  it('says at its field what cannot be compared', async () => {
    await compare(BOTH);
    server.on('GET /api/comparison', new Refused(422, 'No.', { left_revision: ['200-0010 has no revision A.'] }));
    await show(<ComparePage />, { at: BOTH });
    expect(await screen.findByText(/200-0010 has no revision A/)).toBeTruthy();
  });

  it('reads a side from a file, and takes ours again', async () => {
    const user = await compare('/?left=200-0010');
    server.on('POST /api/comparison-files', new Refused(422, 'Row 3: there is no quantity.'));
    const [, after] = screen.getAllByLabelText<HTMLInputElement>('or from a file');
    await user.upload(after ?? document.body, new File(['…'], 'theirs.csv'));
    expect(await screen.findByText(/there is no quantity/)).toBeTruthy();
    server.on('POST /api/comparison-files', { id: 'f1', name: 'theirs.csv', parents: ['200-0010'] });
    await user.upload(after ?? document.body, new File(['…'], 'theirs.csv'));
    await waitFor(() => expect(lastAsked()).toMatchObject({ right: '200-0010', right_file: 'f1' }));
    await user.click(screen.getByRole('button', { name: 'Use our data instead' }));
    await waitFor(() => expect(lastAsked()?.right_file).toBeUndefined());
  });

  it('says that these are only the first, and that a file has all', async () => {
    await compare(BOTH, { count: 5000 });
    expect(await screen.findByText(/The first 4 of 5 000 differences are here/)).toBeTruthy();
  });

  it('tells nothing that differs from nothing that differs in these kinds', async () => {
    await compare(BOTH, { count: 0, rows: [] });
    expect(await screen.findByText('No differences.')).toBeTruthy();
  });
});
