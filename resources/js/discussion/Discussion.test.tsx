import { screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { Refused, server } from '../testing/server';
import { mira, show } from '../testing/show';
import { Discussion } from './Discussion';

const as = { ...mira, abilities: ['discuss'] };
const comment = (id: number, text: string, pinned_by: string | null = null) => ({
  id,
  by: 'Helen Marsh',
  at: '2026-11-26T09:00:00+00:00',
  text,
  pinned_by,
  item: '',
  work: '',
  line: '',
  called: '',
  files: [],
});

function discussed() {
  server
    .on('GET /api/people', [
      { login: 'helen.marsh', name: 'Helen Marsh', roles: [], may_revise: false, may_sign: true, may_judge: true },
      { login: 'petra.quist', name: 'Petra Quist', roles: [], may_revise: false, may_sign: false, may_judge: false },
    ])
    .on('GET /api/discussions/ECO-00085', [comment(4, 'One part.', 'Mira Okafor')])
    .on('GET /api/discussions/ECR-00085', [comment(2, 'Two parts or one?')]);
}

describe('a discussion', () => {
  it('goes on from the requests to the order, with what is decided above', async () => {
    discussed();
    await show(<Discussion numbers={['ECO-00085', 'ECR-00085']} />, { as });
    const all = await screen.findByRole('list', { name: 'Comments' });
    expect(
      within(all)
        .getAllByRole('listitem')
        .map((one) => one.lastChild?.textContent),
    ).toEqual(['Two parts or one?', 'One part.']);
    expect(within(all).getByText(/on ECR-00085/)).toBeTruthy();
    expect(within(screen.getByRole('list', { name: 'Pinned' })).getByText('pinned by Mira Okafor')).toBeTruthy();
  });

  it('offers people while a name is typed, and keeps what was refused', async () => {
    discussed();
    const user = await show(<Discussion numbers={['ECO-00085']} />, { as });
    const box = await screen.findByRole('textbox', { name: /Comment/ });
    await user.type(box, 'Can you ask, @pe');
    await user.click(await screen.findByRole('button', { name: 'Petra Quist' }));
    expect(box).toHaveProperty('value', 'Can you ask, @petra.quist ');
    server.on('POST /api/discussions/ECO-00085', new Refused(422, 'No.', { text: ['At most 5,000 characters.'] }));
    await user.click(screen.getByRole('button', { name: 'Add comment' }));
    expect(await screen.findByText('At most 5,000 characters.')).toBeTruthy();
    expect(box).toHaveProperty('value', 'Can you ask, @petra.quist ');
    server.on('POST /api/discussions/ECO-00085', []);
    await user.click(screen.getByRole('button', { name: 'Add comment' }));
    await waitFor(() => expect(box).toHaveProperty('value', ''));
    expect(server.asked('POST /api/discussions/ECO-00085')[1]?.body).toEqual({ text: 'Can you ask, @petra.quist ' });
  });

  it('is pinned, and the pin is taken off', async () => {
    discussed();
    server.on('PUT /api/comments/2/pin', []).on('DELETE /api/comments/4/pin', []);
    const user = await show(<Discussion numbers={['ECO-00085', 'ECR-00085']} />, { as });
    await user.click(await screen.findByRole('button', { name: /^Pin the comment/ }));
    await user.click(screen.getByRole('button', { name: /^Unpin the comment/ }));
    await waitFor(() => expect(server.asked('DELETE /api/comments/4/pin')).toHaveLength(1));
    expect(server.asked('PUT /api/comments/2/pin')).toHaveLength(1);
  });
});
