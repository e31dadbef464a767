import { screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { server } from '../testing/server';
import { show } from '../testing/show';
import { SinceLooked } from './SinceLooked';

const act = {
  number: 9,
  at: '2026-11-26T10:00:00+00:00',
  actor: 'edda',
  act: 'order.signed',
  subject: 'ECO-00002',
  details: { reason: 'Good.' },
};

describe('what is new on a dossier', () => {
  it('is told with who did it, and opens', async () => {
    server.on('POST /api/changes/ECO-00002/look', {
      since: '2026-11-26T09:00:00+00:00',
      total: 60,
      acts: [act],
      names: { edda: 'Edda Roth' },
    });
    const user = await show(<SinceLooked number="ECO-00002" />);
    await user.click(await screen.findByText(/60 acts by others/));
    expect(screen.getByText(/Edda Roth/).textContent).toContain('Signed');
    expect(screen.getByText(/newest 1 are shown/)).toBeTruthy();
  });

  it('is nothing at the first look, and where nobody did anything', async () => {
    server.on('POST /api/changes/ECO-00003/look', { since: null, total: 0, acts: [], names: {} });
    await show(<SinceLooked number="ECO-00003" />);
    await waitFor(() => expect(server.asked('POST /api/changes/ECO-00003/look')).toHaveLength(1));
    expect(screen.queryByText(/New since/)).toBeNull();
  });
});
