import { screen, waitFor, within } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../lib/api';
import { file, item } from '../testing/make';
import { server } from '../testing/server';
import { address, choose, show } from '../testing/show';
import { hasWebGl } from './hasWebGl';
import { ModelPage } from './ModelPage';
import { readModel } from './readModel';
import type { Solid } from './solids';

vi.mock('./readModel', () => ({ readModel: vi.fn() }));
vi.mock('./hasWebGl', () => ({ hasWebGl: vi.fn() }));
vi.mock('./ModelView', () => ({
  ModelView: ({ bodies }: { bodies: { solid: Solid }[] }) => (
    <p>Drawn: {bodies.map(({ solid }) => solid.name).join(' ')}</p>
  ),
}));
const read = vi.mocked(readModel);

/** A tetrahedron of a size, at a place along x. */
function body(id: number, number: string, name: string, size = 1, at = 0): Solid {
  const corners = [0, 0, 0, size, 0, 0, 0, size, 0, 0, 0, size].map((value, i) => value + (i % 3 === 0 ? at : 0));
  return {
    id,
    number,
    name,
    position: Float32Array.from(corners),
    normal: new Float32Array(12),
    index: Uint32Array.from([0, 2, 1, 0, 1, 3, 0, 3, 2, 1, 2, 3]),
  };
}

const now = [body(0, '200-0011', 'Housing'), body(1, '200-0042', 'Clamp', 1, 3), body(2, '900-1', 'Jig')];
const before = [body(0, '200-0011', 'Housing', 2), body(1, '200-0042', 'Clamp', 1, 4), body(2, '200-0035', 'Ring')];

const row = (number: string, title: string, find: number, extended: string): Partial<Schemas['TreeRow']> => ({
  path: number,
  level: 1,
  item: item(number, title),
  extended,
  line: { find, component: number, unit: 'pc' } as Schemas['LineRow'],
});

beforeEach(() => {
  read.mockReset();
  vi.mocked(hasWebGl).mockReturnValue(false);
  server
    .on('GET /api/favourites', [])
    .on('GET /api/items/200-0010', { item: item('200-0010', 'Pump head'), revisions: [] })
    .on('GET /api/items/200-0010/documents', {
      number: '200-0010',
      files: [
        file('e', 'head.stp', { role: 'model', revision: 'E', status: 'in_force', bytes: 2_000_000 }),
        file('d', 'head-old.stp', { role: 'model', revision: 'D', status: 'superseded' }),
        file('s', 'sheet.svg', { role: 'sheet' }),
      ],
      documents: [],
      describes: [],
    })
    .on('GET /api/items/200-0010/structure', {
      rows: [
        row('200-0011', 'Pump head housing', 10, '1'),
        row('200-0042', 'Tube clamp', 60, '2'),
        row('710-0001', 'Grease', 90, '2'),
      ],
    });
});

const opened = (query = '') =>
  show(<ModelPage />, { at: `/items/200-0010/model${query}`, path: '/items/:number/model' });
const cells = (text: string) =>
  within(screen.getByText(text).closest('tr') as HTMLElement)
    .getAllByRole('gridcell')
    .map((cell) => cell.textContent);

describe('the design model of an item', () => {
  it('lists its parts beside the structure, where nothing can be shown in three dimensions', async () => {
    read.mockResolvedValue({ solids: now, undrawn: 0 });
    await opened();
    expect(await screen.findByText(/shows nothing in three dimensions/)).toBeTruthy();
    expect(read.mock.calls[0]?.[0]).toBe('/api/files/e');
    expect(cells('Tube clamp')).toEqual(['60', '200-0042', 'Tube clamp', '2 pc', '1']);
    expect(cells('Jig')).toEqual(['', '900-1', 'Jig', 'not a line', '1']);
    expect(cells('Grease')).toEqual(['90', '710-0001', 'Grease', '2 pc', 'none']);
  });

  it('says how far it is while it is read, and stops when it is told to', async () => {
    read.mockImplementation(
      (_, onProgress, signal) =>
        new Promise((_resolve, reject) => {
          onProgress({ loaded: 500_000, reading: false });
          signal.addEventListener('abort', () => reject(new DOMException('Cancelled.', 'AbortError')));
        }),
    );
    const user = await opened();
    expect(await screen.findByText('Loading head.stp')).toBeTruthy();
    await waitFor(() =>
      expect(screen.getByRole('progressbar', { name: 'Progress of head.stp' })).toHaveProperty('value', 500_000),
    );
    await user.click(screen.getByRole('button', { name: 'Cancel' }));
    expect(await screen.findByText(/Reading head.stp was cancelled/)).toBeTruthy();
    read.mockResolvedValue({ solids: now, undrawn: 0 });
    await user.click(screen.getByRole('button', { name: 'Read it again' }));
    expect(await screen.findByText('Tube clamp')).toBeTruthy();
  });

  it('says what is wrong with a file that cannot be read', async () => {
    read.mockRejectedValue(new Error('This file has no bodies that can be drawn.'));
    await opened();
    expect(await screen.findByText(/head.stp: This file has no bodies that can be drawn/)).toBeTruthy();
  });

  it('says how many bodies there was no room for', async () => {
    read.mockResolvedValue({ solids: now, undrawn: 12 });
    await opened();
    expect(await screen.findByText(/12 more bodies could not be drawn/)).toBeTruthy();
  });

  it('finds, chooses and hides parts', async () => {
    vi.mocked(hasWebGl).mockReturnValue(true);
    read.mockResolvedValue({ solids: now, undrawn: 0 });
    const user = await opened();
    await user.click(await screen.findByText('Tube clamp'));
    expect(await screen.findByRole('button', { name: 'Show all alike' })).toBeTruthy();
    expect(await screen.findByText('Drawn: Housing Clamp Jig')).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Hide 900-1' }));
    expect(screen.getByText('Drawn: Housing Clamp')).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Show 900-1' }));
    expect(screen.getByText('Drawn: Housing Clamp Jig')).toBeTruthy();
    await user.type(screen.getByRole('textbox', { name: 'Find a part' }), 'hous');
    expect(screen.queryByText('Tube clamp')).toBeNull();
    expect(screen.getByText('Pump head housing')).toBeTruthy();
  });

  it('sets two revisions beside each other: what differs, by sign and word', async () => {
    read.mockImplementation((at) => Promise.resolve({ solids: at === '/api/files/d' ? before : now, undrawn: 0 }));
    const user = await opened();
    await screen.findByText('Tube clamp');
    await choose(user, 'Compared with', 'D, head-old.stp');
    expect(address()).toBe('/items/200-0010/model?against=d');
    await screen.findByRole('checkbox', { name: 'Unchanged too' });
    const of = (title: string) => cells(title)[0]?.replace(/[^a-z]/g, '');
    expect(of('Pump head housing')).toBe('changed');
    expect(of('Tube clamp')).toBe('moved');
    expect(of('Ring')).toBe('removed');
    expect(of('Jig')).toBe('added');
    expect(screen.queryByText('Grease')).toBeNull();
    await user.click(screen.getByRole('checkbox', { name: 'Unchanged too' }));
    expect(screen.getByText('Grease')).toBeTruthy();
  });

  it('says where there is none yet', async () => {
    server.on('GET /api/items/200-0010/documents', {
      number: '200-0010',
      files: [file('s', 'sheet.svg', { role: 'sheet' })],
      documents: [],
      describes: [],
    });
    await opened();
    expect(await screen.findByText(/There is no design model yet/)).toBeTruthy();
    expect(read).not.toHaveBeenCalled();
  });
});
