import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schemas } from '../lib/api';
import { done } from '../testing/done';
import { item, line, redline as aRedline, redlineRow as same, tube } from '../testing/make';
import { noConsequences } from '../testing/noConsequences';
import { Refused, server } from '../testing/server';
import { address, show } from '../testing/show';
import { RevisePage } from './RevisePage';
import type { Redline } from './useRedline';

const clamp = item('600-0012', 'Tube clamp', { unit: 'pc' });
const redline = aRedline({
  can_undo: true,
  rows: [
    same(50, tube),
    same(60, clamp, { mark: 'changed', after: line(60, clamp.number, { quantity: '3' }), fields: ['quantity'] }),
  ],
  working: 'F.2',
  iterations: [
    { number: 1, name: 'F.1', note: 'Clamps first', by: 'Edda Roth', at: '2026-11-24T09:00:00+00:00', edits: 2 },
  ],
});
const BASE = '/api/orders/ECO-00090/items/200-0010';

async function revise(more: Partial<Redline> = {}, at = '') {
  server
    .on('GET /api/favourites', [])
    .on(`GET ${BASE}/redline`, { ...redline, ...more })
    .on('GET /api/orders/ECO-00090/consequences', { ...noConsequences, lines: 1 });
  const user = await show(<RevisePage />, {
    at: `/orders/ECO-00090/revise/200-0010${at}`,
    path: '/orders/:number/revise/:item',
  });
  await screen.findByRole('heading', { level: 1, name: 'Pump head' });
  return user;
}

describe('revising a structure under an order', () => {
  it('says what becomes of what, and how much differs', async () => {
    await revise();
    expect(screen.getByText(/Revision E →/).textContent).toContain('Revision E → Fnow F.2');
    expect(screen.getByLabelText('Totals').textContent).toMatch(/changed 1$/);
  });

  it('shows only what differs, by button or key, and the address keeps it', async () => {
    const user = await revise();
    await user.click(screen.getByRole('button', { name: /Show differences only/ }));
    expect(address()).toContain('?show=differences');
    await user.keyboard('vd');
    await waitFor(() => expect(address()).not.toContain('show='));
  });

  it('is undone and redone, by button or keys', async () => {
    const user = await revise();
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Redo' }).disabled).toBe(true);
    server.on(`POST ${BASE}/works/engineering/undo`, done('ECO-00090')).on(`GET ${BASE}/redline`, {
      ...redline,
      can_undo: false,
      can_redo: true,
      rows: [same(50, tube), same(60, clamp)],
    });
    await user.keyboard('{Control>}z{/Control}');
    await waitFor(() => expect(screen.getByLabelText('Totals').textContent).toBe('No differences'));
    server.on(`POST ${BASE}/works/engineering/redo`, done('ECO-00090')).on(`GET ${BASE}/redline`, redline);
    await user.click(screen.getByRole('button', { name: 'Redo' }));
    await waitFor(() => expect(screen.getByLabelText('Totals').textContent).toMatch(/changed 1$/));
  });

  const newer = (conflicts: Schemas['ConflictRow'][]): Schemas['NewerPage'] => ({
    base: 'E',
    newest: 'F',
    edits: 2,
    agreed: 0,
    conflicts,
  });

  it('says when another order was released first, and brings its revision in', async () => {
    const user = await revise({ moved_on: true });
    const at = `${BASE}/works/engineering/newer`;
    server.on(`GET ${at}`, newer([])).on(`POST ${at}`, new Refused(422, 'Line 60 was removed there.'));
    await user.click(screen.getByRole('button', { name: 'Merge it in' }));
    expect(await screen.findByText('Line 60 was removed there.')).toBeTruthy();
    server.on(`POST ${at}`, done('ECO-00090')).on(`GET ${BASE}/redline`, redline);
    await user.click(screen.getByRole('button', { name: 'Merge it in' }));
    await waitFor(() => expect(screen.queryByText(/has released a newer revision/)).toBeNull());
    expect(server.asked(`POST ${at}`)[1]?.body).toEqual({ choices: [] });
  });

  it('lets one choose whose is kept where both changed the same, before anything is merged', async () => {
    const user = await revise({ moved_on: true });
    const at = `${BASE}/works/engineering/newer`;
    const clash = {
      key: 'k.quantity',
      part: 'line 60 200-0042',
      field: 'quantity',
      before: '2',
      mine: '3',
      theirs: '4',
    };
    const gone = { ...clash, key: 'g', part: 'line 70 600-0014', field: '', before: '', mine: 'Line taken out' };
    server.on(`GET ${at}`, newer([clash, gone])).on(`POST ${at}`, done('ECO-00090'));
    await user.click(screen.getByRole('button', { name: 'Merge it in' }));
    const table = await screen.findByRole('grid', { name: 'Changed in both' });
    expect(
      within(table)
        .getAllByRole('row')
        .slice(1)
        .map((row) => row.textContent),
    ).toEqual(['line 60 200-0042quantity234YoursTheirs', 'line 70 600-0014all of itLine taken out4YoursTheirs']);
    const merge = screen.getByRole<HTMLButtonElement>('button', { name: 'Merge: 2 still to choose' });
    expect(merge.disabled).toBe(true);
    await user.click(screen.getByRole('button', { name: 'Keep all of theirs' }));
    await user.click(within(screen.getByLabelText('Kept of line 60 200-0042')).getByText('Yours'));
    expect(server.asked(`POST ${at}`)).toEqual([]);
    await user.click(screen.getByRole('button', { name: 'Merge' }));
    await waitFor(() =>
      expect(server.asked(`POST ${at}`)[0]?.body).toEqual({
        choices: [
          { conflict: 'k.quantity', choice: 'mine' },
          { conflict: 'g', choice: 'theirs' },
        ],
      }),
    );
  });

  it('reads a sheet back whole or not at all: every bad cell is told', async () => {
    await revise();
    const many = Array.from({ length: 22 }, (_, at) => [`rows.${at}`, [`Row ${at + 2}: no such item.`]]);
    server.on(`POST ${BASE}/sheet`, new Refused(422, 'No.', Object.fromEntries(many) as Record<string, string[]>));
    const upload = screen.getByLabelText('Import edited sheet');
    fireEvent.change(upload, { target: { files: [new File(['…'], 'lines.xlsx')] } });
    expect(await screen.findByText('The sheet was not read; nothing of it is saved.')).toBeTruthy();
    expect(screen.getByText('Row 2: no such item.')).toBeTruthy();
    expect(screen.getByText('And 2 more.')).toBeTruthy();
    server.on(`POST ${BASE}/sheet`, done('ECO-00090'));
    fireEvent.change(upload, { target: { files: [new File(['…'], 'lines.xlsx')] } });
    await waitFor(() => expect(screen.queryByText(/nothing of it is saved/)).toBeNull());
    expect(String(server.asked(`POST ${BASE}/sheet`)[0]?.body)).toContain('7');
  });

  it('is only read by who is not named on the order', async () => {
    await revise({ may_edit: false, iterations: [] });
    expect(screen.getByText('Only the editor of the order edits, and who has a task for it.')).toBeTruthy();
    for (const name of ['Undo', 'Add a line', 'Keep']) expect(screen.queryByRole('button', { name })).toBeNull();
    expect(screen.queryByText('Saved iterations')).toBeNull();
  });
});

describe('a line that is added', () => {
  const grease = item('710-0001', 'Silicone grease', { kind: 'Consumable', unit: 'g' });

  it('comes ten after the last, in the unit of its item; what is not modelled is known by its kind', async () => {
    const user = await revise();
    await user.keyboard('ln');
    const form = within(screen.getByRole('form', { name: 'Add a line' }));
    expect(form.getByLabelText<HTMLInputElement>('Find').value).toBe('70');
    server.on('GET /api/items', [grease]);
    await user.type(form.getByRole('combobox', { name: 'Component' }), 'grease');
    await user.click(await screen.findByText('Silicone grease'));
    expect(form.getByRole<HTMLInputElement>('checkbox', { name: /Not modelled/ }).checked).toBe(true);
    server.on(`POST ${BASE}/edits`, new Refused(422, 'No.', { quantity: ['Write a quantity.'] }));
    await user.clear(form.getByLabelText('Quantity'));
    await user.click(form.getByRole('button', { name: 'Add the line' }));
    expect(await form.findByText(/Write a quantity/)).toBeTruthy();
    server.on(`POST ${BASE}/edits`, done('ECO-00090'));
    await user.type(form.getByLabelText('Quantity'), '2');
    await user.click(form.getByRole('button', { name: 'Add the line' }));
    await waitFor(() => expect(screen.queryByRole('form', { name: 'Add a line' })).toBeNull());
    expect(server.asked(`POST ${BASE}/edits`)[1]?.body).toMatchObject({
      operation: 'add',
      seen: 7,
      fields: { find: '70', component: '710-0001', quantity: '2', unit: 'g', not_modelled: 'yes' },
    });
  });

  it('is chosen again, and left', async () => {
    const user = await revise();
    await user.click(screen.getByRole('button', { name: 'Add a line' }));
    server.on('GET /api/items', [grease]);
    await user.type(screen.getByRole('combobox', { name: 'Component' }), 'grease');
    await user.click(await screen.findByText('Silicone grease'));
    await user.click(screen.getByTitle('Choose another'));
    expect(screen.getByRole('combobox', { name: 'Component' })).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Cancel' }));
    expect(screen.queryByRole('form', { name: 'Add a line' })).toBeNull();
    expect(server.asked(`POST ${BASE}/edits`)).toEqual([]);
  });
});

describe('kept work', () => {
  it('is saved with a note, compared and gone back to', async () => {
    const user = await revise();
    const kept = within(screen.getByRole('region', { name: 'Saved iterations' }));
    expect(kept.getAllByRole('row')[1]?.textContent).toMatch(/F.1Clamps firstEdda Roth24 Nov 2026, 09:002Compare/);
    expect(kept.getByRole('link', { name: 'Compare with now' }).getAttribute('href')).toBe(
      '/compare?left=200-0010&left_order=ECO-00090&left_iteration=1&right=200-0010&right_order=ECO-00090&levels=one',
    );
    server.on(`POST ${BASE}/works/engineering/iterations`, new Refused(422, 'No.', { note: ['Say a word.'] }));
    await user.click(kept.getByRole('button', { name: 'Save iteration' }));
    expect(await kept.findByText(/Say a word/)).toBeTruthy();
    server.on(`POST ${BASE}/works/engineering/iterations`, done('ECO-00090'));
    await user.type(kept.getByLabelText(/Save iteration F.2/), 'With grease');
    await user.click(kept.getByRole('button', { name: 'Save iteration' }));
    await waitFor(() => expect(kept.getByLabelText<HTMLInputElement>(/Save iteration F.2/).value).toBe(''));
    server.on(
      `POST ${BASE}/works/engineering/iterations/1/return`,
      new Refused(409, 'Somebody has edited it meanwhile.'),
    );
    await user.click(kept.getByRole('button', { name: 'Go back to F.1' }));
    expect((await kept.findByRole('alert')).textContent).toContain('Somebody has edited it meanwhile.');
    expect(server.asked(`POST ${BASE}/works/engineering/iterations/1/return`)[0]?.body).toEqual({ seen: 7 });
  });
});
