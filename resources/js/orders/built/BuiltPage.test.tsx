import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schemas } from '../../lib/api';
import { done } from '../../testing/done';
import { head, item, line, redlineRow, tube } from '../../testing/make';
import { Refused, server } from '../../testing/server';
import { operation } from '../../testing/operation';
import { address, show } from '../../testing/show';
import { BuiltPage } from './BuiltPage';
import type { BuiltRedline, Operation, OperationRow } from './useBuilt';

const clamp = item('600-0012', 'Tube clamp', { unit: 'pc' });
const same = (of: Operation): OperationRow => ({ key: of.key, mark: 'unchanged', before: of, after: of, fields: [] });
const cost = (more: Partial<Schemas['UnitCostData']> = {}): Schemas['UnitCostData'] => ({
  material: '12.40',
  set_up: '1.5',
  run: '2.5',
  labour: '2.00',
  set_up_cost: '1.20',
  subcontract: '0.00',
  total: '3.20',
  missing: [],
  ...more,
});
const coat = operation(5, 'Coat', { supplier: 'Fjellheim Coating' });
const at = (find: number, of: Schemas['ItemRow'], number: number | null) => {
  const there = line(find, of.number, { operation: number });
  return redlineRow(find, of, { before: there, after: there });
};
const page: BuiltRedline = {
  order: 'ECO-00090',
  order_title: 'Thicker tube',
  state: 'revising',
  is_open: true,
  item: head,
  plant: 'Weir',
  base: 'A',
  becomes: 'B',
  moved_on: false,
  may_edit: true,
  seen: 4,
  working: 'B.2',
  iterations: [
    { number: 1, name: 'B.1', note: 'Before the trial', by: 'Edda Roth', at: '2026-11-24T09:00:00+00:00', edits: 3 },
  ],
  can_undo: true,
  can_redo: false,
  rows: [at(60, clamp, 20), at(50, tube, 10), at(70, clamp, null)],
  operations: [
    { key: 'op-5', mark: 'added', before: null, after: coat, fields: [] },
    {
      ...same(operation(10, 'Fit rotor', { tools: ['900-0001'] })),
      mark: 'changed',
      before: operation(10, 'Fit rotor', { tools: ['900-0001'], run: '2' }),
      fields: ['run'],
    },
    same(operation(20, 'Close')),
  ],
  batch_before: '8',
  batch: '10',
  cost_before: cost({ labour: '1.60', total: '2.80' }),
  cost: cost({ missing: ['Operation 5: nobody knows what Fjellheim Coating takes for it.'] }),
  difference: '0.40',
  work_centres: [
    { code: 'PUMP', name: 'Pump line', rate: '48.00', retired: false, version: 1 },
    { code: 'OLD', name: 'Old line', rate: '40.00', retired: true, version: 1 },
  ],
  faults: [],
  open: 0,
};
const BASE = '/api/orders/ECO-00090/items/200-0010/plants/Weir';
const WORK = '/api/orders/ECO-00090/items/200-0010/works/manufacturing:Weir';

const built: Schemas['BuiltProductCost'][] = [
  { product: '100-0024', title: 'Heron 24', plant: 'Weir', minutes: '8', difference: '8.20' },
  { product: '100-0012', title: 'Heron 12', plant: 'Weir', minutes: '-0.5', difference: '-0.40' },
  { product: '100-0012', title: 'Heron 12', plant: 'Tarn', minutes: '80', difference: '80.00' },
];

async function open(more: Partial<BuiltRedline> = {}) {
  server
    .on('GET /api/favourites', [])
    .on('GET /api/orders/ECO-00090/consequences', { built })
    .on(`GET ${BASE}/redline`, { ...page, ...more });
  const user = await show(<BuiltPage />, {
    at: '/orders/ECO-00090/build/200-0010/Weir',
    path: '/orders/:number/build/:item/:plant',
  });
  await screen.findByRole('heading', { level: 1, name: 'Pump head at Weir' });
  return user;
}
const sent = (act: string) => server.asked(`POST ${BASE}/${act}`).map(({ body }) => body);
const grid = () => screen.getByRole('grid', { name: 'Before and after' });
const rowsOf = () =>
  within(grid())
    .getAllByRole('row')
    .map((row) => row.textContent);

describe('what a plant builds, under an order', () => {
  it('has operations as bands over the lines that are consumed at them, and last what is at none', async () => {
    await open();
    const rows = rowsOf();
    expect(rows[1]).toContain('5 Coatoutside at Fjellheim CoatingCost a unit not knownDays not known');
    expect(rows[2]).toContain('10 Fit rotorPUMPSet-up 15 minRun 22.5 min a unitTools 900-0001');
    expect(rows[3]).toContain('200-0040');
    expect(rows[4]).toContain('20 Close');
    expect(rows[5]).toContain('600-0012');
    expect(rows[6]).toBe('At no operation');
    expect(rows[7]).toContain('70');
  });

  it('says minutes and money of a unit, before and after, and what is not known', async () => {
    await open();
    const strip = screen.getByRole('complementary', { name: 'Minutes and money of one unit' });
    expect(strip.textContent).toContain('Labour 1.60 2.00');
    expect(strip.textContent).toContain('+0.40');
    expect(strip.textContent).toContain('nobody knows what Fjellheim Coating takes');
    await waitFor(() => expect(strip.textContent).toContain('A Heron 24 +8 min, +8.20'));
    expect(screen.getByText(/Batch of/).textContent).toContain('8');
  });

  it('shows only operations and lines that differ', async () => {
    const user = await open();
    await user.click(screen.getByRole('button', { name: /Show differences only/ }));
    expect(address()).toContain('?show=differences');
    expect(rowsOf()).toHaveLength(3);
  });

  it('edits an operation in its place, sends what was changed, and says what is wrong with it', async () => {
    const user = await open();
    server.on(`POST ${BASE}/edits`, new Refused(422, 'No.', { 'edits.0.run': ['Minutes from 0.'] }));
    await user.click(screen.getByRole('button', { name: 'Edit operation 10' }));
    const form = screen.getByRole('form', { name: 'Operation 10' });
    expect(within(form).queryByRole('option', { name: /OLD/ })).toBeNull();
    await user.clear(within(form).getByLabelText('Run, min'));
    await user.type(within(form).getByLabelText('Run, min'), '3');
    await user.click(within(form).getByRole('button', { name: 'Save the operation' }));
    expect(await within(form).findByText('Minutes from 0.')).toBeTruthy();
    server.on(`POST ${BASE}/edits`, done('ECO-00090'));
    await user.click(within(form).getByRole('button', { name: 'Save the operation' }));
    await waitFor(() => expect(screen.queryByRole('form', { name: 'Operation 10' })).toBeNull());
    expect(sent('edits').at(-1)).toEqual({
      edits: [{ edit: 'change_operation', part: 'op-10', fields: { run: '3' } }],
      seen: 4,
    });
  });

  it('adds an operation that a supplier does, without minutes', async () => {
    const user = await open();
    server.on(`POST ${BASE}/edits`, done('ECO-00090'));
    await user.keyboard('on');
    const form = screen.getByRole('form', { name: 'Add an operation' });
    expect(within(form).getByLabelText<HTMLInputElement>('Operation').value).toBe('30');
    await user.type(within(form).getByLabelText('What is done'), 'Plate');
    await user.click(within(form).getByRole('checkbox', { name: /Outside/ }));
    await user.type(within(form).getByLabelText('Supplier'), 'Fjellheim Coating');
    await user.type(within(form).getByLabelText('Cost a unit'), '3.4');
    await user.click(within(form).getByRole('button', { name: 'Add the operation' }));
    await waitFor(() => expect(sent('edits')).toHaveLength(1));
    expect(sent('edits')[0]).toMatchObject({
      edits: [
        {
          edit: 'add_operation',
          fields: {
            number: '30',
            title: 'Plate',
            supplier: 'Fjellheim Coating',
            cost: '3.4',
            work_centre: '',
            run: '',
          },
        },
      ],
    });
  });

  it('moves lines to the operation above or below by keys, and by typing its number', async () => {
    const user = await open();
    server.on(`POST ${BASE}/edits`, done('ECO-00090'));
    const cell = within(grid()).getByRole('gridcell', { name: /200-0040/ });
    cell.focus();
    fireEvent.keyDown(cell, { key: 'ArrowDown', altKey: true });
    await waitFor(() => expect(sent('edits')).toHaveLength(1));
    expect(sent('edits')[0]).toMatchObject({
      edits: [{ edit: 'change', part: page.rows[1]?.key, fields: { operation: '20' } }],
    });
    await user.keyboard('{ArrowRight}{ArrowRight}{ArrowRight}');
    await user.keyboard('5{Enter}');
    await waitFor(() => expect(sent('edits')).toHaveLength(2));
    expect(sent('edits')[1]).toMatchObject({ edits: [{ fields: { operation: '5' } }] });
  });

  it('says why an operation cannot go', async () => {
    const user = await open();
    server.on(
      `POST ${BASE}/edits`,
      new Refused(422, 'Operation 10 consumes 200-0040.', { 'edits.0.operation': ['Operation 10 consumes 200-0040.'] }),
    );
    await user.click(screen.getByRole('button', { name: 'Remove operation 10' }));
    expect(await screen.findByText('Operation 10 consumes 200-0040.')).toBeTruthy();
  });

  it('is taken away as a sheet, read back whole or not at all, saved as an iteration and gone back to', async () => {
    const user = await open();
    server.on(
      `POST ${BASE}/sheet`,
      new Refused(422, 'No.', { 'row 3, run': ['Row 3, run: minutes are not below zero.'] }),
    );
    const upload = screen.getByLabelText('Import edited sheet');
    fireEvent.change(upload, { target: { files: [new File(['…'], 'weir.xlsx')] } });
    expect(await screen.findByText('Row 3, run: minutes are not below zero.')).toBeTruthy();
    const kept = within(screen.getByRole('region', { name: 'Saved iterations' }));
    expect(kept.getByRole('link', { name: 'Compare with now' }).getAttribute('href')).toBe(
      '/compare?left=200-0010&left_kind=manufacturing&left_plant=Weir&left_order=ECO-00090&left_iteration=1' +
        '&right=200-0010&right_kind=manufacturing&right_plant=Weir&right_order=ECO-00090&levels=one',
    );
    server.on(`POST ${WORK}/iterations`, done('ECO-00090')).on(`POST ${WORK}/iterations/1/return`, done('ECO-00090'));
    await user.type(kept.getByLabelText('Save iteration B.2, note'), 'Without coating');
    await user.click(kept.getByRole('button', { name: 'Save iteration' }));
    await waitFor(() => expect(server.asked(`POST ${WORK}/iterations`)[0]?.body).toEqual({ note: 'Without coating' }));
    await user.click(kept.getByRole('button', { name: 'Go back to B.1' }));
    await waitFor(() => expect(server.asked(`POST ${WORK}/iterations/1/return`)[0]?.body).toEqual({ seen: 4 }));
  });

  it('changes the batch, and takes it back', async () => {
    const user = await open();
    server.on(`POST ${BASE}/edits`, done('ECO-00090')).on(`POST ${WORK}/undo`, done('ECO-00090'));
    await user.click(screen.getByRole('button', { name: 'Change' }));
    await user.clear(screen.getByLabelText('Batch'));
    await user.type(screen.getByLabelText('Batch'), '12');
    await user.click(screen.getByRole('button', { name: 'Save the batch' }));
    await waitFor(() => expect(screen.queryByLabelText('Batch')).toBeNull());
    expect(sent('edits')[0]).toMatchObject({
      edits: [{ edit: 'set_batch', fields: { batch: '12' } }],
    });
    await user.click(screen.getByRole('button', { name: 'Undo' }));
    await waitFor(() => expect(server.asked(`POST ${WORK}/undo`)).toHaveLength(1));
  });

  it('is only read by who does not edit', async () => {
    await open({ may_edit: false });
    expect(screen.queryByRole('button', { name: 'Add an operation' })).toBeNull();
    expect(screen.queryByRole('button', { name: /Edit operation/ })).toBeNull();
    expect(screen.getByText('Only the editor of the order edits, and who has a task for it.')).toBeTruthy();
  });

  describe('with engineering beside', () => {
    const screw = item('600-0014', 'Screw', { unit: 'pc' });
    const account = (
      find: number,
      of: Schemas['ItemRow'],
      more: Partial<Schemas['AccountRow']> = {},
    ): Schemas['AccountRow'] => ({
      line: line(find, of.number),
      item: of,
      account: 'open',
      wanted: '8',
      rest: '6',
      unit: 'pc',
      why: null,
      record: null,
      shares: [],
      suggested: [],
      suggested_by: null,
      suggested_of: '',
      ...more,
    });
    const [open1, open2] = [account(30, screw), account(40, clamp, { wanted: '2', rest: '2' })];
    const taken = account(50, tube, {
      account: 'in_full',
      rest: '0',
      shares: [{ operation: 10, through: [] } as unknown as Schemas['ShareRow']],
    });
    const beside = async () => {
      server
        .on('GET /api/items/200-0010/accountability', {
          item: '200-0010',
          plant: 'Weir',
          plants: ['Weir'],
          built: 'A',
          builds: 'C',
          declared: 'C',
          open: 2,
          lines: [open1, open2, taken],
          additions: [],
          order: null,
          siblings: [],
          sibling: null,
        })
        .on(`POST ${BASE}/taken-over`, done('ECO-00090'));
      const user = await open({ open: 2 });
      await screen.findByRole('checkbox', { name: 'Take over find 30, 600-0014' });
      return user;
    };

    it('takes over what is chosen, in parts, at an operation', async () => {
      const user = await beside();
      await user.type(screen.getByRole('textbox', { name: 'So much of find 30' }), '4');
      await user.click(screen.getByRole('checkbox', { name: 'Take over find 30, 600-0014' }));
      await user.click(screen.getByRole('checkbox', { name: 'Take over find 40, 600-0012' }));
      await user.click(screen.getByRole('combobox', { name: 'At operation' }));
      await user.click(screen.getByRole('option', { name: '20 Close' }));
      await user.click(screen.getByRole('button', { name: 'Take over 2' }));
      await waitFor(() =>
        expect(sent('taken-over')).toEqual([
          { lines: [open1.line.key, open2.line.key], operation: '20', parts: { [open1.line.key]: '4' }, seen: 4 },
        ]),
      );
    });

    it('takes over what is dropped on an operation', async () => {
      await beside();
      const data = new Map<string, string>();
      const dataTransfer = {
        setData: (type: string, text: string) => data.set(type, text),
        getData: (type: string) => data.get(type) ?? '',
        get types() {
          return [...data.keys()];
        },
      };
      const row = screen.getByRole('checkbox', { name: 'Take over find 40, 600-0012' }).closest('li') as HTMLElement;
      fireEvent.dragStart(row, { dataTransfer });
      const band = grid().querySelector('[data-operation="10"]') as HTMLElement;
      fireEvent.dragOver(band, { dataTransfer });
      fireEvent.drop(band, { dataTransfer });
      await waitFor(() =>
        expect(sent('taken-over')).toEqual([{ lines: [open2.line.key], operation: '10', parts: {}, seen: 4 }]),
      );
    });

    it('shows where the others are, says what cannot be at its line, and is put away', async () => {
      server.on(`POST ${BASE}/taken-over`, done('ECO-00090'));
      const user = await beside();
      await user.click(screen.getByRole('radio', { name: 'All 3' }));
      expect(screen.getByText('■ at 10')).toBeTruthy();
      server.on(`POST ${BASE}/taken-over`, new Refused(422, 'Refused', { [open1.line.key]: ['6 pc of it are open'] }));
      await user.click(screen.getByRole('checkbox', { name: 'Take over find 30, 600-0014' }));
      await user.click(screen.getByRole('button', { name: 'Take over 1' }));
      expect((await screen.findByText(/6 pc of it are open/)).textContent).toContain('▸');
      await user.click(screen.getByRole('button', { name: /Engineering beside/ }));
      expect(screen.queryByRole('region', { name: 'Engineering lines' })).toBeNull();
    });
  });

  it('gathers lines at one operation into a kit', async () => {
    const kit = item('200-0900', 'Small parts kit', { unit: 'pc' });
    server.on(`POST ${BASE}/kits`, done('ECO-00090')).on('GET /api/items', { rows: [kit], total: 1 });
    const user = await open();
    await user.click(screen.getByRole('button', { name: 'Gather into a kit' }));
    const form = within(screen.getByRole('form', { name: 'Gather into a kit' }));
    expect(form.getByText('No line is consumed there.')).toBeTruthy();
    await user.click(form.getByRole('combobox', { name: 'Operation' }));
    await user.click(screen.getByRole('option', { name: '20 Close' }));
    await user.click(form.getByRole('checkbox', { name: /60 600-0012 Tube clamp/ }));
    await user.type(form.getByRole('combobox', { name: 'Kit' }), '200-0900{Enter}');
    await user.click(await form.findByRole('button', { name: 'Gather 1 into 200-0900' }));
    await waitFor(() => expect(sent('kits')).toEqual([{ kit: '200-0900', lines: [page.rows[0]?.key], seen: 4 }]));
    await waitFor(() => expect(screen.queryByRole('form', { name: 'Gather into a kit' })).toBeNull());
  });
});
