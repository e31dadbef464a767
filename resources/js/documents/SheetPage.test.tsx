import { fireEvent, screen, within } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../lib/api';
import { file, head, item, revision } from '../testing/make';
import { server } from '../testing/server';
import { show } from '../testing/show';
import { SheetPage } from './SheetPage';

const drawing = item('800-0011', 'Drawing, pump head', { kind: 'Drawing' });
const revisions = [revision('E'), revision('D', { status: 'superseded', last_day: '2026-06-27', order: null })];

async function sheet(files: Schemas['FileRow'][], at = '', of = revisions) {
  server
    .on('GET /api/favourites', [])
    .on('GET /api/items/800-0011', {
      item: drawing,
      supply: 'make',
      lead_time_days: null,
      supplier: null,
      material: null,
      revisions: of,
      changes: [],
      attributes: [],
      mass: null,
    })
    .on('GET /api/items/800-0011/documents', {
      number: '800-0011',
      files,
      documents: [],
      describes: [{ item: head, shows: 'E', older: false, adopted_by: null, sheet: null }],
    });
  const user = await show(<SheetPage />, { at: `/items/800-0011/sheet${at}`, path: '/items/:number/sheet' });
  await screen.findByRole('heading', { level: 1, name: 'Drawing, pump head' });
  return user;
}

const beside = () => within(screen.getByRole('region', { name: 'This sheet' }));
const frame = () => screen.getByRole('group', { name: /plus and minus enlarge/ });
const scale = () => within(screen.getByRole('toolbar', { name: 'Sheet' })).getByRole('status').textContent;
const moved = () => frame().querySelector<HTMLElement>('div')?.style.transform;

describe('a sheet', () => {
  it('says what it is a sheet of, its revision and its history, for who has no account to ask', async () => {
    await sheet([file('7', 'pump-head.svg')]);
    expect(screen.getByRole('link', { name: '200-0010' }).getAttribute('href')).toBe('/items/200-0010');
    expect(beside().getByRole('heading').textContent).toBe('Revision E');
    expect(beside().getByText(/pump-head.svg, sheet, uploaded by Jonas Weir on 24 Nov 2026/)).toBeTruthy();
    const history = within(screen.getByRole('region', { name: 'History' })).getAllByRole('listitem');
    expect(history.map((one) => one.textContent)).toEqual([
      expect.stringMatching(/E.*from 28 Jun 2026Note made clear, ECO-00076, Mira Okafor/),
      expect.stringMatching(/D.*from 28 Jun 2026 to 27 Jun 2026Note made clear, Mira Okafor/),
    ]);
    expect(screen.queryByText('Draft')).toBeNull();
  });

  it('is never taken for a released one while it is a draft', async () => {
    await sheet([file('7', 'draft.svg', { revision: null, status: 'in_work', order: 'ECO-00090' })]);
    expect(screen.getAllByText('Draft')).toHaveLength(3);
    expect(screen.getAllByText('not released, ECO-00090')).toHaveLength(3);
    expect(beside().getByRole('heading').textContent).toBe('A draft');
  });

  it('says over its face that it is superseded, and whether the newer revision has one', async () => {
    const old = file('6', 'old.svg', { revision: 'D', status: 'superseded' });
    await sheet([file('7', 'new.svg'), old], '?file=6');
    expect(screen.getAllByText('Superseded').length).toBeGreaterThanOrEqual(3);
    expect(screen.getAllByText('valid until 27 Jun 2026')).toHaveLength(3);
    expect(beside().getByText('Revision E is in force, with a sheet of its own.')).toBeTruthy();
    const files = within(screen.getByRole('region', { name: 'All files' }));
    expect(files.getByRole('link', { name: 'old.svg' }).getAttribute('aria-current')).toBe('true');
  });

  it('says that the newer revision came without a sheet', async () => {
    await sheet([file('6', 'old.svg', { revision: 'D', status: 'superseded' })]);
    expect(beside().getByText('Revision E is in force, without a new sheet.')).toBeTruthy();
  });

  it('is in force until the next revision is, also when that is released already, whose own sheet says so', async () => {
    const coming = { status: 'coming', first_day: '2026-12-08' } as const;
    const revisions = [revision('G', coming), revision('F', { last_day: '2026-12-07' })];
    const files = [file('8', 'g.svg', { revision: 'G', ...coming }), file('7', 'f.svg', { revision: 'F' })];
    await sheet(files, '', revisions);
    expect(beside().getByRole('heading').textContent).toBe('Revision F');
    expect(screen.queryByText('Superseded')).toBeNull();
    expect(beside().getByText('Revision G comes into force on 8 Dec 2026, with a sheet of its own.')).toBeTruthy();
    document.body.innerHTML = '';
    await sheet(files, '?file=8', revisions);
    expect(screen.getAllByText('Not in force yet')).toHaveLength(3);
    expect(screen.getAllByText('valid from 8 Dec 2026')).toHaveLength(3);
  });

  it('shows a drawing as a picture, which runs nothing', async () => {
    await sheet([file('7', 'pump-head.svg')]);
    expect(screen.getByRole('img').getAttribute('src')).toBe('/api/files/7');
    expect(document.querySelector('iframe, object, embed, svg script')).toBeNull();
  });

  it('says where to bring one when there is none', async () => {
    await sheet([]);
    expect(screen.getByRole('link', { name: 'Upload one on the item page' }).getAttribute('href')).toBe(
      '/items/800-0011',
    );
    expect(screen.getByRole('link', { name: 'Mark up' }).getAttribute('href')).toBe('/items/800-0011/mark-up');
  });

  it('is enlarged and moved by buttons and keys, never beyond what can be read', async () => {
    const user = await sheet([file('7', 'pump-head.svg')]);
    await user.click(screen.getByRole('button', { name: 'Larger' }));
    expect(scale()).toBe('125 %');
    frame().focus();
    await user.keyboard('+');
    expect(scale()).toBe('156 %');
    await user.keyboard('{ArrowLeft}{ArrowDown}');
    expect(moved()).toContain('translate(60px, -60px)');
    await user.keyboard('0');
    expect([scale(), moved()]).toEqual(['100 %', 'translate(0px, 0px) scale(1)']);
    for (let i = 0; i < 20; i++) fireEvent.keyDown(frame(), { key: '-' });
    expect(scale()).toBe('25 %');
    await user.click(screen.getByRole('button', { name: 'Fit width' }));
    expect(scale()).toBe('100 %');
  });

  it('is moved by the pointer while it is held, and enlarged by the wheel with Ctrl', async () => {
    await sheet([file('7', 'pump-head.svg')]);
    fireEvent.pointerMove(frame(), { clientX: 50, clientY: 50 });
    expect(moved()).toContain('translate(0px, 0px)');
    fireEvent.pointerDown(frame(), { clientX: 10, clientY: 10, pointerId: 1 });
    fireEvent.pointerMove(frame(), { clientX: 40, clientY: 25 });
    fireEvent.pointerUp(frame());
    fireEvent.pointerMove(frame(), { clientX: 400, clientY: 400 });
    expect(moved()).toContain('translate(30px, 15px)');
    fireEvent.wheel(frame(), { deltaY: -1 });
    expect(scale()).toBe('100 %');
    fireEvent.wheel(frame(), { deltaY: -1, ctrlKey: true });
    expect(scale()).toBe('125 %');
  });

  it('is printed with its history, and taken along as it is', async () => {
    const print = vi.spyOn(window, 'print').mockImplementation(() => undefined);
    const user = await sheet([file('7', 'pump-head.svg')]);
    await user.click(screen.getByRole('button', { name: 'Print with history' }));
    expect(print).toHaveBeenCalledOnce();
    expect(screen.getByRole('link', { name: 'Download' }).getAttribute('href')).toBe('/api/files/7');
  });
});
