import { screen, waitFor } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../../lib/api';
import { file } from '../../testing/make';
import { server } from '../../testing/server';
import { address, show } from '../../testing/show';
import { MarkUpPage } from './MarkUpPage';
import * as raster from './raster';

async function page(files: Schemas['FileRow'][], at = '') {
  server
    .on('GET /api/favourites', [])
    .on('GET /api/changes', [])
    .on('GET /api/items/200-0010', { changes: [] })
    .on('GET /api/items/200-0010/documents', { number: '200-0010', files, documents: [], describes: [] });
  // A picture is not drawn here.
  const drawn = vi
    .spyOn(raster, 'rasterOf')
    .mockResolvedValue({ image: 'data:image/png;base64,AA==', width: 400, height: 300, pages: 3 });
  const user = await show(<MarkUpPage />, { at: `/items/200-0010/mark-up${at}`, path: '/items/:number/mark-up' });
  await waitFor(() => expect(screen.queryByText('Loading …')).toBeNull());
  return { user, drawn };
}

const over = () => screen.getByRole('heading', { level: 1 }).closest('header')?.textContent;

describe('the page to mark up a sheet', () => {
  it('draws over what is released, unless the address names another file', async () => {
    const files = [file('9', 'draft.svg', { revision: null, status: 'in_work' }), file('7', 'pump-head.svg')];
    const { drawn } = await page(files);
    expect(over()).toContain('pump-head.svg, revision E');
    expect(drawn).toHaveBeenCalledExactlyOnceWith('/api/files/7', 'image/svg+xml', 1);
  });

  it('says of a draft that it is one', async () => {
    const files = [file('9', 'draft.svg', { revision: null, status: 'in_work' }), file('7', 'pump-head.svg')];
    await page(files, '?file=9');
    expect(over()).toContain('draft.svg, a draft');
  });

  it('turns pages, and the address keeps which', async () => {
    const { user, drawn } = await page([file('7', 'manual.pdf', { media_type: 'application/pdf' })], '?page=2');
    expect(drawn).toHaveBeenCalledWith('/api/files/7', 'application/pdf', 2);
    await user.click(await screen.findByRole('button', { name: /Next page/ }));
    await waitFor(() => expect(drawn).toHaveBeenCalledWith('/api/files/7', 'application/pdf', 3));
    expect(address()).toContain('page=3');
  });

  it('says why a sheet cannot be drawn on', async () => {
    await page([]);
    expect(screen.getByText(/200-0010 has no sheet to draw on/)).toBeTruthy();
  });
});
