import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schemas } from '../lib/api';
import { file, head, item } from '../testing/make';
import { Refused, server } from '../testing/server';
import { choose, mira, show, vera } from '../testing/show';
import { Documents } from './Documents';

const drawing = item('800-0011', 'Drawing, pump head', { kind: 'Drawing' });
const described = (more: Partial<Schemas['DocumentRow']> = {}): Schemas['DocumentRow'] => ({
  item: drawing,
  shows: 'E',
  older: false,
  adopted_by: null,
  sheet: file('7', 'pump-head.svg', { item: '800-0011' }),
  ...more,
});
const engineer: Schemas['Me'] = { ...mira, abilities: ['attach_file'] };
const PAGE = 'GET /api/items/200-0010/documents';
const BRING = 'POST /api/items/200-0010/files';

async function documents(more: Partial<Schemas['DocumentPage']> = {}, as = engineer) {
  server.on(PAGE, { number: '200-0010', files: [], documents: [], describes: [], ...more });
  const user = await show(<Documents item={head} />, { as });
  await waitFor(() => expect(screen.queryByText('Loading …')).toBeNull());
  return user;
}

describe('drawings and documents of an item', () => {
  it('show the sheet, with its status, and say when it shows an older revision', async () => {
    await documents({ documents: [described({ shows: 'D', older: true, adopted_by: 'ECO-00086' })] });
    const picture = screen.getByRole('img', { name: 'Sheet of 800-0011' });
    expect(picture.getAttribute('src')).toBe('/api/files/7');
    expect(picture.closest('a')?.getAttribute('href')).toBe('/items/800-0011/sheet');
    expect(screen.getByText(/shows revision D, adopts the newest under/).textContent).toContain('ECO-00086');
  });

  it('do not draw a PDF in place', async () => {
    await documents({
      documents: [described({ sheet: file('7', 'pump-head.pdf', { media_type: 'application/pdf' }) })],
    });
    expect(screen.queryByRole('img')).toBeNull();
    expect(screen.getByRole('link', { name: 'Show the sheet' })).toBeTruthy();
  });

  it('say what a drawing itself describes, and that it is behind', async () => {
    await documents({ describes: [described({ item: head, shows: 'D', older: true })] });
    expect(screen.getByRole('listitem').textContent).toBe(
      'describes 200-0010 Pump head, shows revision D ▲ A is in force by now',
    );
  });

  it('say when there is nothing', async () => {
    await documents({}, vera);
    expect(screen.getByText('No drawings or documents yet.')).toBeTruthy();
    expect(screen.queryByLabelText(/Drop a file here/)).toBeNull();
  });

  it('are brought by choosing a file, said what it is; what is refused is said', async () => {
    const user = await documents();
    await choose(user, 'File role', 'Picture');
    server.on(BRING, new Refused(422, 'This is no picture: its content is a program.'));
    await user.upload(screen.getByLabelText('Drop a file here, or choose one'), new File(['MZ'], 'pump.png'));
    expect(await screen.findByText(/its content is a program/)).toBeTruthy();
    server.on(BRING, {}).on(PAGE, {
      number: '200-0010',
      files: [file('9', 'pump.png', { role: 'picture', revision: null, status: 'in_work', order: 'ECO-00090' })],
      documents: [],
      describes: [],
    });
    await user.upload(screen.getByLabelText('Drop a file here, or choose one'), new File(['…'], 'pump.png'));
    const row = await screen.findByRole('listitem');
    expect(row.textContent).toMatch(/pump.png picture,.*under ECO-00090/);
  });

  it('are brought by dropping', async () => {
    await documents();
    server.on(BRING, {});
    const place = screen.getByText('Drop a file here, or choose one').closest('div') ?? document.body;
    fireEvent.dragOver(place);
    fireEvent.drop(place, { dataTransfer: { files: [new File(['…'], 'pump.svg')] } });
    await waitFor(() => expect(server.asked(BRING)).toHaveLength(1));
    expect(String(server.asked(BRING)[0]?.body)).toContain('data_sheet');
  });

  it('are taken away until they are released', async () => {
    const user = await documents({
      files: [file('9', 'draft.svg', { revision: null, status: 'in_work' }), file('8', 'pump-head.svg')],
    });
    expect(screen.queryByRole('button', { name: 'Remove file pump-head.svg' })).toBeNull();
    server.on('DELETE /api/items/200-0010/files/9', {});
    await user.click(screen.getByRole('button', { name: 'Remove file draft.svg' }));
    await waitFor(() => expect(server.asked('DELETE /api/items/200-0010/files/9')).toHaveLength(1));
  });

  it('are linked and unlinked', async () => {
    const user = await documents({ documents: [described()] });
    server.on('DELETE /api/items/200-0010/documents/800-0011', new Refused(422, 'It is on an order in review.'));
    await user.click(screen.getByRole('button', { name: 'Unlink 800-0011' }));
    expect((await screen.findByRole('alert')).textContent).toContain('It is on an order in review.');
    const other = item('820-0001', 'Work instruction', { kind: 'Document' });
    server.on('GET /api/items', [other]).on('PUT /api/items/200-0010/documents/820-0001', {});
    await user.type(screen.getByRole('combobox', { name: 'Link a drawing or document' }), '820');
    await user.click(await screen.findByText('Work instruction'));
    await waitFor(() => expect(server.asked('PUT /api/items/200-0010/documents/820-0001')).toHaveLength(1));
  });
});

describe('the sheet shown first', () => {
  it('is its own before that of a drawing', async () => {
    await documents({ files: [file('9', 'own.svg')], documents: [described()] });
    expect(within(screen.getByRole('region')).getByRole('img').getAttribute('alt')).toBe('Sheet of 200-0010');
  });
});
