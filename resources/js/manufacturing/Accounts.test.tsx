import { screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schemas } from '../lib/api';
import { item, line, tube } from '../testing/make';
import { done } from '../testing/done';
import { Refused, server } from '../testing/server';
import { address, choose, show } from '../testing/show';
import { Accounts } from './Accounts';

const screw = item('600-0014', 'Screw');
const rivet = item('620-0003', 'Rivet', { unit: 'pc' });
const share = (of: Schemas['ItemRow'], more: Partial<Schemas['ShareRow']> = {}): Schemas['ShareRow'] => ({
  key: 'built-1',
  item: of,
  quantity: '1',
  unit: 'pc',
  operation: 10,
  scrap: false,
  through: [],
  ...more,
});
const row = (
  find: number,
  of: Schemas['ItemRow'],
  account: Schemas['AccountRow']['account'],
  more: Partial<Schemas['AccountRow']> = {},
): Schemas['AccountRow'] => ({
  line: line(find, of.number, { quantity: '6' }),
  item: of,
  account,
  wanted: '6',
  rest: '0',
  unit: 'pc',
  why: null,
  record: null,
  shares: [],
  suggested: [],
  suggested_by: null,
  suggested_of: '',
  ...more,
});
const page: Schemas['AccountabilityPage'] = {
  item: '200-0010',
  plant: 'Weir',
  plants: ['Tarn', 'Weir'],
  built: 'B',
  builds: 'E',
  declared: 'F',
  count: 5,
  total: 5,
  from: 0,
  order: null,
  siblings: [],
  sibling: null,
  open: 2,
  lines: [
    row(10, screw, 'in_parts', {
      shares: [
        share(screw, { quantity: '2' }),
        share(screw, { key: 'built-2', quantity: '4', operation: 30, through: ['200-0090'], scrap: true }),
      ],
    }),
    row(20, screw, 'replaced', {
      shares: [share(rivet, { quantity: '12' })],
      record: { by: '620-0003', new: '2', unit: 'pc', old: '1', reason: 'Riveted.' },
    }),
    row(30, tube, 'open', { rest: '0.5', unit: 'm' }),
    row(40, tube, 'open', { rest: '-1', why: 'built in pc, declared in m: these do not convert' }),
    row(50, tube, 'left_out', { record: { by: null, new: '1', unit: null, old: '1', reason: 'Not issued.' } }),
  ],
  additions: [share(item('900-0001', 'Gauge', { kind: 'tool' }), { operation: 20 })],
};

async function accounts(of = page, order?: string) {
  server.on('GET /api/items/200-0010/accountability', { ...of, count: of.lines.length, total: of.lines.length });
  const user = await show(<Accounts number="200-0010" on="2026-11-25" plant="Weir" order={order} />);
  await screen.findByRole('status');
  return user;
}
const cells = (name: RegExp) =>
  within(screen.getByRole('grid', { name }))
    .getAllByRole('row')
    .slice(1)
    .map((one) =>
      within(one)
        .getAllByRole('gridcell')
        .map((cell) => cell.textContent),
    );

const mine = { number: 'ECO-00084', may_edit: true, seen: 7, can_undo: true, edits: ['Replaced by 200-0041'] };
const AT = '/api/orders/ECO-00084/items/200-0010/plants/Weir';
const UNDO = '/api/orders/ECO-00084/items/200-0010/works/manufacturing:Weir/undo';

describe('what a plant has taken over of very many lines', () => {
  it('shows the first at once, and the others follow by themselves', async () => {
    const some = (from: number, lines: Schemas['AccountRow'][]) => ({
      ...page,
      open: 0,
      count: 4,
      total: 4,
      from,
      lines,
    });
    const wholly = (find: number) => row(find, screw, 'in_full');
    server.on('GET /api/items/200-0010/accountability', ({ query }: { query: Record<string, string> }) =>
      query.from === '2' ? some(2, [wholly(30), wholly(40)]) : some(0, [wholly(10), wholly(20)]),
    );
    await show(<Accounts number="200-0010" on="2026-11-25" plant="Weir" />);
    expect(await screen.findByText(/4 lines accounted for/)).toBeTruthy();
    await waitFor(() => expect(cells(/^Engineering lines/).map(([find]) => find)).toEqual(['10', '20', '30', '40']));
    expect(screen.getByText('All 4')).toBeTruthy();
  });
});

describe('taking over under an order', () => {
  const open = [
    row(30, tube, 'open', { rest: '0.5', unit: 'm', suggested: ['Replaced by 200-0041'], suggested_by: 'before' }),
    row(40, tube, 'open', { rest: '1' }),
  ];

  it('shows how each line would be taken over, takes over all or those selected, and takes it back', async () => {
    const user = await accounts({ ...page, lines: open, order: mine }, 'ECO-00084');
    expect(cells(/^Engineering lines/).map((one) => one.at(-2))).toEqual([
      'Replaced by 200-0041 as it was built',
      'your decision',
    ]);
    server.on(`POST ${AT}/taken-over`, done('ECO-00084')).on(`POST ${UNDO}`, done('ECO-00084'));
    await user.click(screen.getByRole('button', { name: 'Take over all 1 that follow' }));
    await waitFor(() =>
      expect(server.asked(`POST ${AT}/taken-over`)[0]?.body).toEqual({ lines: [], seen: 7, sibling: null }),
    );
    await user.click(screen.getByRole('checkbox', { name: /^Select all/ }));
    await user.click(screen.getByRole('button', { name: 'Take over 1' }));
    await waitFor(() =>
      expect(server.asked(`POST ${AT}/taken-over`)[1]?.body).toEqual({ lines: ['line-30'], seen: 7, sibling: null }),
    );
    await user.click(screen.getByRole('button', { name: 'Undo' }));
    await waitFor(() => expect(server.asked(`POST ${UNDO}`)).toHaveLength(1));
  });

  it('says by whose example a line goes, and lets another be chosen', async () => {
    const says = (
      find: number,
      words: string,
      by: NonNullable<Schemas['AccountRow']['suggested_by']>,
      of: string = '',
    ): Schemas['AccountRow'] => row(find, tube, 'open', { suggested: [words], suggested_by: by, suggested_of: of });
    const lines = [
      says(10, '1 pc of 200-0060 at operation 30', 'sibling', '200-0020'),
      says(20, 'left out on record: Issued.', 'category', 'Papers'),
      says(30, '2 g of 710-0001 at operation 30', 'neighbour'),
    ];
    const user = await accounts(
      { ...page, lines, order: mine, siblings: ['200-0020', '200-0030'], sibling: '200-0020' },
      'ECO-00084',
    );
    expect(cells(/^Engineering lines/).map((one) => one.at(-2))).toEqual([
      '1 pc of 200-0060 at operation 30 as 200-0020 is built',
      'left out on record: Issued. as Papers are',
      '2 g of 710-0001 at operation 30 where the line before it is',
    ]);
    server.on(`POST ${AT}/taken-over`, done('ECO-00084'));
    await user.click(screen.getByRole('button', { name: 'Take over all 3 that follow' }));
    await waitFor(() => expect(server.asked(`POST ${AT}/taken-over`)[0]?.body).toMatchObject({ sibling: '200-0020' }));
    await choose(user, 'New lines by the example of', '200-0030');
    await waitFor(() =>
      expect(server.asked('GET /api/items/200-0010/accountability').at(-1)?.query.sibling).toBe('200-0030'),
    );
    await choose(user, 'New lines by the example of', 'no item');
    await waitFor(() =>
      expect(server.asked('GET /api/items/200-0010/accountability').at(-1)?.query.sibling).toBe('none'),
    );
  });

  it('puts on record why a line is left out, and says at its field what is wrong', async () => {
    const user = await accounts({ ...page, lines: open, order: mine }, 'ECO-00084');
    await user.click(screen.getByRole('button', { name: 'On record: find 30 …' }));
    const form = within(screen.getByRole('form', { name: 'On record: find 30' }));
    server.on(`POST ${AT}/records`, new Refused(422, 'No.', { reason: ['Say why.'] }));
    await user.click(form.getByRole('button', { name: 'Leave out on record' }));
    expect(await form.findByText(/Say why/)).toBeTruthy();
    await user.type(form.getByLabelText('Reason'), 'Not issued.');
    server.on(`POST ${AT}/records`, done('ECO-00084'));
    await user.click(form.getByRole('button', { name: 'Leave out on record' }));
    await waitFor(() => expect(screen.queryByRole('form')).toBeNull());
    expect(server.asked(`POST ${AT}/records`)[1]?.body).toEqual({ line: 'line-30', reason: 'Not issued.', seen: 7 });
  });

  it('replaces a line on record by so many of another, and takes that off again', async () => {
    const recorded = row(20, screw, 'replaced', {
      record: { by: '620-0003', new: '2', unit: 'pc', old: '1', reason: 'Riveted.' },
    });
    server.on('GET /api/items', [rivet]);
    const user = await accounts({ ...page, lines: [recorded], order: mine }, 'ECO-00084');
    await user.click(screen.getByRole('button', { name: 'On record: find 20 …' }));
    await user.type(screen.getByRole('combobox', { name: /In its place/ }), '620');
    await user.click(await screen.findByRole('option', { name: /620-0003/ }));
    await user.clear(screen.getByLabelText('for so many pc'));
    await user.type(screen.getByLabelText('for so many pc'), '3');
    server.on(`POST ${AT}/records`, done('ECO-00084'));
    await user.click(screen.getByRole('button', { name: 'Replace on record' }));
    await waitFor(() =>
      expect(server.asked(`POST ${AT}/records`)[0]?.body).toEqual({
        line: 'line-20',
        reason: 'Riveted.',
        by: '620-0003',
        new: '2',
        unit: 'pc',
        old: '3',
        seen: 7,
      }),
    );
    await user.click(screen.getByRole('button', { name: 'On record: find 20 …' }));
    await user.click(screen.getByRole('button', { name: 'Take off the record' }));
    await waitFor(() => expect(server.asked(`POST ${AT}/records`)[1]?.body).toEqual({ line: 'line-20', seen: 7 }));
  });
});

describe('accountability', () => {
  it('says of each engineering line how it is accounted for, by what, and what is open', async () => {
    await accounts();
    expect(cells(/^Engineering lines/).map((row) => row.slice(4))).toEqual([
      ['In parts', '2 pc at operation 104 pc and scrap at operation 30 in 200-0090', '', ''],
      ['Replaced on record', '12 pc of 620-0003 at operation 10', '', '2 pc of 620-0003 for 1 pc: Riveted.'],
      ['▲ Open', '', '0.5 m', ''],
      ['▲ Open', '', '1 pc too much; built in pc, declared in m: these do not convert', ''],
      ['Left out on record', '', '', 'Not issued.'],
    ]);
    expect(cells(/^Additions/)[0]?.[1]).toBe('900-0001');
    expect(screen.getByRole('status').textContent).toContain('2 of 5 lines open. Weir builds it by its revision B');
  });

  it('shows what is open alone, and keeps that in the address', async () => {
    const user = await accounts();
    await user.click(screen.getByRole('radio', { name: 'Open 2' }));
    expect(cells(/^Engineering lines/)).toHaveLength(2);
    expect(address()).toBe('/?lines=open');
  });

  it('says that it is complete, which an empty list proves', async () => {
    const user = await accounts({ ...page, open: 0, lines: page.lines.slice(0, 2), additions: [] });
    expect(screen.getByRole('status').textContent).toContain('Complete. 2 lines accounted for, none open.');
    await user.click(screen.getByRole('radio', { name: 'Open 0' }));
    expect(screen.getByText('Nothing is open.')).toBeTruthy();
    expect(screen.getByText('The plant adds nothing to what engineering declares.')).toBeTruthy();
  });

  it('is told as an order would make it, with what it has done so far', async () => {
    const order = { number: 'ECO-00084', may_edit: false, seen: 1, can_undo: true, edits: ['Replaced by 200-0041'] };
    await accounts({ ...page, order }, 'ECO-00084');
    expect(screen.getByRole('status').textContent).toContain('engineering as ECO-00084 would make it');
    expect(within(screen.getByRole('list', { name: 'Edits' })).getByText('Replaced by 200-0041')).toBeTruthy();
    expect(screen.queryByRole('button', { name: /Take over|Undo|On record:/ })).toBeNull();
    expect(server.asked('GET /api/items/200-0010/accountability')[0]?.query).toEqual({
      on: '2026-11-25',
      plant: 'Weir',
      order: 'ECO-00084',
    });
  });

  it('says that no plant builds it', async () => {
    await accounts({ ...page, plant: null, plants: [], built: null });
    expect(screen.getByRole('status').textContent).toContain('No plant builds it on that day');
    expect(screen.queryByRole('grid')).toBeNull();
  });
});
