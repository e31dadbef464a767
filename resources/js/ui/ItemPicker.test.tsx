import { screen, waitFor } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../lib/api';
import { head, item, thicker, tube } from '../testing/make';
import { server } from '../testing/server';
import { show } from '../testing/show';
import { ItemPicker } from './ItemPicker';

const wrong = item('310-0001', 'Regulator, first of all');
const meant = item('310-0012', 'Regulator, small outline');
const options = () => screen.queryAllByRole('option').map((one) => one.textContent);

async function picker(more: Partial<Parameters<typeof ItemPicker>[0]> = {}) {
  const pick = vi.fn<(item: Schemas['ItemRow']) => void>();
  const user = await show(
    <>
      <ItemPicker label="Old part" onPick={pick} {...more} />
      <button type="button">Next</button>
    </>,
  );
  return { user, pick, field: screen.getByRole<HTMLInputElement>('combobox', { name: 'Old part' }) };
}

/** A server that answers the whole number only when it is told to. */
function slowly() {
  let answer: () => void = () => undefined;
  const ready = new Promise<void>((resolve) => (answer = resolve));
  server.on('GET /api/items', ({ query }) => (query.words === '310-0012' ? ready.then(() => [wrong, meant]) : [wrong]));
  return () => answer();
}

describe('picking an item', () => {
  it('finds while one types, by arrows and Enter', async () => {
    server.on('GET /api/items', ({ query }) => (query.words === 'tube' ? [tube, thicker] : [head]));
    const { user, pick, field } = await picker();
    await user.type(field, 'tube');
    await waitFor(() =>
      expect(options()).toEqual([expect.stringContaining('200-0040'), expect.stringContaining('200-0041')]),
    );
    await user.keyboard('{ArrowDown}{Enter}');
    await waitFor(() => expect(pick).toHaveBeenCalledExactlyOnceWith(thicker));
    expect(field.value).toBe('');
  });

  it('takes by Enter what the very words mean, however late the answer is', async () => {
    const answer = slowly();
    const { user, pick, field } = await picker();
    await user.type(field, '310-00');
    await waitFor(() => expect(options().length).toBe(1));
    await user.type(field, '12{Enter}');
    expect(pick).not.toHaveBeenCalled();
    expect(field.getAttribute('aria-busy')).toBe('true');
    answer();
    await waitFor(() => expect(pick).toHaveBeenCalledExactlyOnceWith(meant));
  });

  it('takes an exact number on leaving the field, also when the answer is late', async () => {
    const answer = slowly();
    const { user, pick, field } = await picker();
    await user.type(field, '310-0012');
    await user.tab();
    answer();
    await waitFor(() => expect(pick).toHaveBeenCalledExactlyOnceWith(meant));
  });

  it('does not let stand what was not taken, and says so', async () => {
    server.on('GET /api/items', [wrong, meant]);
    const { user, pick, field } = await picker();
    await user.type(field, '310-00');
    await user.tab();
    expect((await screen.findByRole('alert')).textContent).toContain('“310-00” was not chosen');
    expect(field.value).toBe('');
    expect(pick).not.toHaveBeenCalled();
    await user.type(field, '3');
    expect(screen.queryByRole('alert')).toBeNull();
  });

  it('forgets an Enter when one types on', async () => {
    const answer = slowly();
    const { user, pick, field } = await picker();
    await user.type(field, '310-0012{Enter}');
    await user.type(field, '3');
    answer();
    await waitFor(() => expect(field.getAttribute('aria-busy')).toBe('false'));
    expect(pick).not.toHaveBeenCalled();
  });

  it('is left by Escape, which leaves all as it was', async () => {
    server.on('GET /api/items', [tube]);
    const cancel = vi.fn();
    const { user, pick, field } = await picker({ initial: '200-0010', onCancel: cancel });
    await user.clear(field);
    await user.type(field, 'tube{Escape}');
    expect(cancel).toHaveBeenCalledOnce();
    expect(field.value).toBe('200-0010');
    expect(pick).not.toHaveBeenCalled();
  });

  it('tells a screen reader what was found, and everybody when nothing is', async () => {
    server.on('GET /api/items', ({ query }) =>
      query.words === '310-0021-4'
        ? { total: 0, from: 0, rows: [], nearly: false, hint: 'Its check digit does not fit.' }
        : [tube, thicker],
    );
    const { user, field } = await picker();
    await user.type(field, 'tube');
    await waitFor(() => expect(field.getAttribute('aria-expanded')).toBe('true'));
    await waitFor(() => expect(field.getAttribute('aria-activedescendant')).toBe(screen.getAllByRole('option')[0]?.id));
    await user.clear(field);
    await user.type(field, '310-0021-4');
    expect(await screen.findByText(/No match for “310-0021-4”. Its check digit does not fit./)).toBeTruthy();
  });
});
