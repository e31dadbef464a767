import { screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../lib/api';
import { today } from '../lib/format';
import { change, head, item, line, revision, tube } from '../testing/make';
import { Refused, server, type Call } from '../testing/server';
import { address, choose, mira, show, vera } from '../testing/show';
import { ItemPage } from './ItemPage';

const clamp = item('600-0012', 'Tube clamp', { unit: 'pc' });
const spring = item('600-0020', 'Spring', { unit: 'pc' });
const row = (path: string, of: Schemas['ItemRow'], more: Partial<Schemas['TreeRow']> = {}): Schemas['TreeRow'] => ({
  path,
  level: path.split('/').length,
  line: line(Number(path.split('/').at(-1)), of.number),
  item: of,
  revision: of.revision,
  status: of.status,
  opens: false,
  extended: '1',
  times: '1',
  holds: true,
  mark: null,
  order: null,
  ...more,
});
const TREE = 'GET /api/items/200-0010/structure';
const top = [row('50', tube), row('60', clamp, { opens: true }), row('70', spring)];

interface Setting {
  at?: string;
  as?: Schemas['Me'];
  page?: Partial<Schemas['ItemPage']>;
  rows?: Schemas['TreeRow'][];
  revised?: boolean;
}

async function open({ at = '', as = mira, page = {}, rows = top, revised = true }: Setting = {}) {
  // Nothing is laid out here: the window is told that it sees all of it.
  vi.spyOn(HTMLElement.prototype, 'clientHeight', 'get').mockReturnValue(800);
  const tree = ({ query }: Call): Schemas['TreePage'] => ({
    number: '200-0010',
    kind: 'engineering',
    plant: '',
    on: query.on ?? '',
    built: [],
    built_at: query.kind === 'manufacturing' ? 'Weir' : null,
    any_time: query.time === 'any',
    revision: revised ? revision('E') : null,
    levels: Number(query.levels),
    more: false,
    rows,
  });
  server
    .on('GET /api/favourites', [])
    .on('GET /api/items/200-0010', {
      item: head,
      supply: 'make',
      lead_time_days: 12,
      supplier: null,
      material: null,
      revisions: [revision('E'), revision('D', { status: 'superseded', last_day: '2026-06-27' })],
      changes: [],
      attributes: [],
      mass: null,
      successions: [],
      ...page,
    })
    .on(TREE, tree)
    .on('GET /api/items/200-0010/where-used', { total: 0, tops: 0, from: 0, rows: [] })
    .on('GET /api/items/200-0010/planned-uses', [])
    .on('GET /api/items/200-0010/older-uses', { newest: 'E', uses: [], orders: [] })
    .on('GET /api/items/200-0010/documents', { number: '200-0010', files: [], documents: [], describes: [] });
  const user = await show(<ItemPage />, { at: `/items/200-0010${at}`, path: '/items/:number', as });
  await screen.findByRole('heading', { level: 1, name: 'Pump head' });
  return user;
}

const lines = async () =>
  within(await screen.findByRole('treegrid', { name: 'Lines' }))
    .getAllByRole('row')
    .slice(1);
const asked = () => server.asked(TREE).map(({ query }) => query);

describe('an item', () => {
  it('says what it is, what it costs and how it comes about', async () => {
    await open({
      page: { supplier: 'Kestrel Measuring', attributes: [{ name: 'bore', label: 'Bore, mm', value: '8' }] },
    });
    expect(screen.getByText('Made in house')).toBeTruthy();
    expect(screen.getByText('12 working days')).toBeTruthy();
    expect(screen.getByText('Kestrel Measuring')).toBeTruthy();
    expect(screen.getByText('Bore, mm').closest('div')?.textContent).toContain('8');
  });

  it('is changed from here by who may', async () => {
    await open();
    expect(screen.getByRole('link', { name: 'Raise a change request' }).getAttribute('href')).toBe(
      '/requests/new?items=200-0010',
    );
  });

  it('is only read by the others', async () => {
    await open({ as: vera });
    expect(screen.queryByRole('link', { name: 'Raise a change request' })).toBeNull();
  });

  it('tells its history: who released which revision, when, under which order and why', async () => {
    await open();
    const history = within(screen.getByRole('grid', { name: 'History of revisions' }));
    const [, newest, before] = history.getAllByRole('row');
    expect(newest?.textContent).toMatch(/E.*28 Jun 2026.*20 Jun 2026.*Mira Okafor.*ECO-00076.*Note made clear/);
    expect(before?.textContent).toContain('27 Jun 2026');
  });

  it('names the changes that name it, few of them at first', async () => {
    const changes = Array.from({ length: 8 }, (_, at) =>
      change(`ECR-0000${at}`, `Change ${at}`, at === 0 ? {} : { state: 'ordered', open: false }),
    );
    const user = await open({ page: { changes } });
    const naming = within(screen.getByRole('region', { name: 'Changes affecting it' }));
    expect(naming.getAllByRole('listitem')).toHaveLength(6);
    await user.click(naming.getByRole('button', { name: 'Show all 8' }));
    expect(naming.getAllByRole('listitem')).toHaveLength(8);
    await user.click(naming.getByRole('button', { name: 'Show fewer' }));
    expect(naming.getAllByRole('listitem')).toHaveLength(6);
  });

  it('says when there is none of that number', async () => {
    server.on('GET /api/favourites', []).on('GET /api/items/999-0001', new Refused(404, 'There is no such item.'));
    await show(<ItemPage />, { at: '/items/999-0001', path: '/items/:number' });
    expect((await screen.findByRole('alert')).textContent).toContain('There is no such item.');
  });
});

describe('its structure', () => {
  it('is the engineering one of today, one level deep, unless the address says otherwise', async () => {
    await open();
    expect(await lines()).toHaveLength(3);
    expect(asked()).toContainEqual({ on: today(), kind: 'engineering', levels: '1' });
    expect(screen.getByText('3 lines shown')).toBeTruthy();
  });

  it('is read as the address says: another day, kind and depth, lines of any time, open orders laid over it', async () => {
    await open({ at: '?on=2026-03-01&levels=3&time=any&orders=open' });
    await lines();
    expect(asked()).toContainEqual({ on: '2026-03-01', kind: 'engineering', levels: '3', time: 'any', orders: 'open' });
  });

  it('tells the number before it and those after it', async () => {
    const row = {
      title: 'Pump head',
      kind: 'Assembly',
      successor_title: 'Pump head, quiet',
      interchangeable: false,
      order: 'ECO-00090',
    };
    await open({
      page: {
        successions: [
          { ...row, item: '200-0009', successor: '200-0010' },
          { ...row, item: '200-0010', successor: '200-0088', interchangeable: true },
        ],
      },
    });
    const told = within(screen.getByRole('list', { name: 'Numbers before and after' })).getAllByRole('listitem');
    expect(told.map((one) => one.textContent)).toEqual([
      'Succeeds 200-0009 Pump head, not interchangeable, ECO-00090',
      'Succeeded by 200-0088 Pump head, quiet, interchangeable, ECO-00090',
    ]);
  });

  it('is asked for otherwise, and the address follows', async () => {
    const user = await open();
    await lines();
    await user.click(screen.getByRole('checkbox', { name: 'Include past and future lines' }));
    await user.click(screen.getByRole('checkbox', { name: 'Overlay open orders' }));
    await choose(user, 'Levels', 'All levels');
    expect(address()).toBe('/items/200-0010?time=any&orders=open&levels=30');
    await waitFor(() => expect(asked().at(-1)).toMatchObject({ levels: '30', time: 'any', orders: 'open' }));
    await choose(user, 'Levels', 'One level');
    await user.click(screen.getByRole('checkbox', { name: 'Include past and future lines' }));
    expect(address()).toBe('/items/200-0010?orders=open');
  });

  it('is that of a plant where it is manufacturing', async () => {
    const user = await open({ at: '?kind=manufacturing' });
    await lines();
    expect(screen.getByText('as Weir builds it')).toBeTruthy();
    await choose(user, 'Plant', 'Plant Weir');
    await waitFor(() => expect(asked().at(-1)).toMatchObject({ kind: 'manufacturing', plant: 'Weir' }));
    expect(screen.queryByText('as Weir builds it')).toBeNull();
    await choose(user, 'Structure', 'Engineering structure');
    await waitFor(() => expect(asked().at(-1)?.plant).toBeUndefined());
  });

  it('opens deeper as one asks for it', async () => {
    const user = await open();
    await lines();
    server.on('GET /api/items/600-0012/structure', {
      number: '600-0012',
      kind: 'engineering',
      plant: '',
      on: today(),
      built: [],
      built_at: null,
      any_time: false,
      revision: null,
      levels: 1,
      more: false,
      rows: [row('10', item('710-0001', 'Grease'))],
    });
    await user.click(screen.getByRole('button', { name: 'Open 600-0012' }));
    await waitFor(async () => expect(await lines()).toHaveLength(4));
    expect((await lines())[2]?.getAttribute('aria-level')).toBe('2');
    expect(server.asked('GET /api/items/600-0012/structure')[0]?.query).toMatchObject({ times: '1', levels: '1' });
    await user.click(screen.getByRole('button', { name: 'Close 600-0012' }));
    await waitFor(async () => expect(await lines()).toHaveLength(3));
  });

  it('is searched, from one to the next', async () => {
    const user = await open({ rows: [...top, row('80', item('600-0021', 'Spring washer', { unit: 'pc' }))] });
    await lines();
    await user.type(screen.getByLabelText('Find in lines'), 'spring');
    expect(screen.getByText('2 found')).toBeTruthy();
    const active = async () => (await lines()).findIndex((one) => one.getAttribute('aria-selected') === 'true');
    await user.click(screen.getByRole('button', { name: 'Next' }));
    expect(await active()).toBe(2);
    await user.type(screen.getByLabelText('Find in lines'), '{Enter}');
    expect(await active()).toBe(3);
    await user.click(screen.getByRole('button', { name: 'Previous' }));
    expect(await active()).toBe(2);
  });

  it('says why there are no lines', async () => {
    await open({ rows: [] });
    expect(await screen.findByText(/No lines recorded/)).toBeTruthy();
    expect(document.title).toMatch(/^200-0010 .+ · Orthotaxis$/);
  });

  it('says when no revision was in effect on that day', async () => {
    await open({ rows: [], revised: false, at: '?on=2020-01-01' });
    expect(await screen.findByText(/No revision was in effect on that day/)).toBeTruthy();
  });

  it('is summed up: each component once, the sums, and what is missing in them', async () => {
    server.on('GET /api/items/200-0010/summary', ({ query }) => ({
      total: 2,
      lines: 3,
      from: Number(query.from),
      currency: 'EUR',
      cost: '262.00',
      mass: '1.25',
      lead_time_days: 45,
      longest_chain: ['200-0010', '600-0012'],
      missing_cost: 4,
      missing_mass: 0,
      missing_lead_time: 0,
      without_cost: ['710-0001', '710-0002', '710-0003', '710-0004'],
      without_mass: [],
      without_lead_time: [],
      rows: [
        query.from === '0'
          ? { item: tube, revision: 'A', level: 1, quantity: '0.5', cost: '4.90' }
          : { item: clamp, revision: 'A', level: 1, quantity: '2', cost: null },
      ],
    }));
    const user = await open({ at: '?view=summed' });
    expect(await screen.findByText(/without 4 not known: 710-0001, 710-0002, 710-0003 …/)).toBeTruthy();
    expect(screen.getByText('200-0010 › 600-0012')).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Show more, 1 of 2 are here' }));
    const all = within(screen.getByRole('grid', { name: 'Flattened structure of 200-0010' }));
    expect((await all.findByText('Tube clamp')).closest('tr')?.textContent).toContain('not known');
    expect(screen.queryByRole('button', { name: /Show more/ })).toBeNull();
  });
});
