import { screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schemas } from '../lib/api';
import { server } from '../testing/server';
import { mira, show } from '../testing/show';
import { LineTalk } from './LineTalk';

const as = { ...mira, abilities: ['discuss'] };
const said = (id: number, more: Partial<Schemas['CommentRow']> = {}): Schemas['CommentRow'] => ({
  id,
  by: 'Helen Marsh',
  at: '2026-11-26T09:00:00+00:00',
  text: `Said ${id}`,
  pinned_by: null,
  item: '200-0010',
  work: 'engineering',
  line: 'key-20',
  called: 'line 20 200-0042',
  files: [],
  ...more,
});
const row = {
  key: 'key-20',
  before: null,
  after: { find: 20, component: '200-0042' } as Schemas['LineRow'],
};
const here = { item: '200-0010', work: 'engineering' };

describe('what is said of lines', () => {
  it('stands with the lines of its subject, with its files', async () => {
    server.on('GET /api/discussions/ECO-00085', [
      said(1, { files: [{ id: 'f-1', name: 'clamp.png', media_type: 'image/png', bytes: 900 }] }),
      said(2, { item: '200-0020' }),
      said(3, { line: '', item: '', called: '' }),
    ]);
    await show(<LineTalk order="ECO-00085" at={null} only={here} />, { as });
    expect(await screen.findByText('Said 1')).toBeTruthy();
    expect([screen.queryByText('Said 2'), screen.queryByText('Said 3')]).toEqual([null, null]);
    expect(screen.getByRole('link', { name: 'clamp.png' }).getAttribute('href')).toBe('/api/said-files/f-1');
    expect(screen.getByRole('button', { name: 'Comment on a line' })).toHaveProperty('disabled', true);
  });

  it('is said of the line that one is on, with files that are taken off again', async () => {
    server.on('GET /api/people', []).on('GET /api/discussions/ECO-00085', []).on('POST /api/discussions/ECO-00085', []);
    const user = await show(<LineTalk order="ECO-00085" at={{ ...here, row }} only={here} />, { as });
    await user.click(await screen.findByRole('button', { name: 'Comment on line 20 200-0042' }));
    await user.type(screen.getByRole('textbox', { name: /Comment on line 20/ }), 'Two each side?');
    const choose = screen.getByLabelText('Add a file');
    await user.upload(choose, new File(['a'], 'one.png', { type: 'image/png' }));
    await user.upload(choose, new File(['b'], 'two.png', { type: 'image/png' }));
    await user.click(screen.getByRole('button', { name: 'Take one.png off' }));
    await user.click(screen.getByRole('button', { name: 'Add comment' }));
    await waitFor(() => expect(server.asked('POST /api/discussions/ECO-00085')).toHaveLength(1));
    const sent = String(server.asked('POST /api/discussions/ECO-00085')[0]?.body);
    for (const part of ['Two each side?', '200-0010', 'engineering', 'key-20']) expect(sent).toContain(part);
    expect(sent.match(/name="files\[\]"/g)).toHaveLength(1);
    await waitFor(() => expect(screen.queryByText('two.png')).toBeNull());
  });
});
