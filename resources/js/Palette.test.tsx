import { screen, waitFor } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { Palette } from './Palette';
import { change, head, report, tube } from './testing/make';
import { server } from './testing/server';
import { address, mira, show, vera } from './testing/show';

async function palette(as = mira) {
  server
    .on('GET /api/favourites', [{ id: 3, address: '/items?words=pump', name: 'All pumps' }])
    .on('GET /api/items', ({ query }) => (query.words === 'xyz' ? [] : [tube]))
    .on('GET /api/changes', ({ query }) =>
      query.words === 'xyz'
        ? []
        : [change('ECR-00096', 'Pump tube wears out'), { ...change('PR-00001', 'Torn'), likeness: report('PR-1', '') }],
    );
  const close = vi.fn();
  const user = await show(<Palette open onClose={close} />, { as });
  await screen.findByPlaceholderText('Number or words');
  return { user, close };
}

describe('finding anything from any page', () => {
  it('offers the pages that the person may use, and those they keep', async () => {
    await palette();
    expect(screen.getByText('Raise a change request')).toBeTruthy();
    expect(await screen.findByText('All pumps')).toBeTruthy();
    expect(screen.queryByText('Set up forms')).toBeNull();
  });

  it('offers who only reads nothing that they may not do', async () => {
    await palette(vera);
    expect(screen.queryByText('Report a problem')).toBeNull();
    expect(screen.getByText('Register')).toBeTruthy();
  });

  it('finds changes and items by words, and goes there by Enter', async () => {
    const { user, close } = await palette();
    await user.type(screen.getByPlaceholderText('Number or words'), 'tube');
    expect(await screen.findByText('Pump tube, wall 1.6 mm')).toBeTruthy();
    await user.keyboard('{ArrowDown}{Enter}');
    await waitFor(() => expect(address()).toBe('/changes/ECR-00096'));
    expect(close).toHaveBeenCalledOnce();
  });

  it('leads a report to its own page', async () => {
    const { user } = await palette();
    await user.type(screen.getByPlaceholderText('Number or words'), 'torn');
    await user.click(await screen.findByText('Torn'));
    expect(address()).toBe('/reports/PR-00001');
  });

  it('says when nothing reads like it', async () => {
    const { user } = await palette();
    await user.type(screen.getByPlaceholderText('Number or words'), 'xyz');
    expect(await screen.findByText('No match for “xyz”.')).toBeTruthy();
  });

  it('takes what is first of what was found by Enter, without an arrow', async () => {
    const { user } = await palette();
    await user.type(screen.getByPlaceholderText('Number or words'), 'tube');
    await screen.findByText('Pump tube, wall 1.6 mm');
    await user.keyboard('{Enter}');
    await waitFor(() => expect(address()).toBe('/items/200-0040'));
  });

  it('waits for the answer to the very words, and lets an exact number win', async () => {
    const { user } = await palette();
    let answer: () => void = () => undefined;
    const slow = new Promise<void>((resolve) => (answer = resolve));
    server.on('GET /api/items', ({ query }) =>
      query.words === '200-0010' ? slow.then(() => [{ ...tube, number: '200-00101', sold: true }, head]) : [tube],
    );
    await user.type(screen.getByPlaceholderText('Number or words'), '200-00');
    await screen.findByText('200-0040');
    await user.type(screen.getByPlaceholderText('Number or words'), '10{Enter}');
    expect(address()).toBe('/');
    answer();
    await waitFor(() => expect(address()).toBe('/items/200-0010'));
  });
});
