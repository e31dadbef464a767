import { screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { done } from '../../testing/done';
import { dossier, order } from '../../testing/make';
import { Refused, server } from '../../testing/server';
import { mira, show } from '../../testing/show';
import { FollowThroughStep } from './FollowThroughStep';

const CLOSE = 'POST /api/orders/ECO-00089/closing';

async function step(abilities: string[]) {
  server.on(
    CLOSE,
    new Refused(422, 'No.', { documents: ['2 documents in planning still name what this order replaced.'] }),
  );
  const released = order({ number: 'ECO-00089', state: 'released', may: ['close'], version: 7 });
  const user = await show(
    <FollowThroughStep dossier={dossier('follow_through', { order: released, handovers: [] })} />,
    {
      as: { ...mira, abilities },
    },
  );
  await user.click(screen.getByRole('button', { name: 'Close the order' }));
  await screen.findByText('2 documents in planning still name what this order replaced.');
  return user;
}

describe('following an order through', () => {
  it('leads to the documents, and closes all the same with a reason by whoever may let them go', async () => {
    const user = await step(['waive_check']);
    expect(screen.getByRole('link', { name: /^Open documents/ }).getAttribute('href')).toBe(
      '/orders/ECO-00089/documents',
    );
    server.on(CLOSE, done('ECO-00089', 8));
    await user.type(screen.getByLabelText('Reason to close it all the same, on record'), 'The last one.');
    await user.click(screen.getByRole('button', { name: 'Close the order' }));
    await waitFor(() => expect(server.asked(CLOSE)[1]?.body).toEqual({ version: 7, reason: 'The last one.' }));
  });

  it('asks nobody else for a reason', async () => {
    await step([]);
    expect(screen.queryByLabelText(/^Reason to close/)).toBeNull();
  });
});
