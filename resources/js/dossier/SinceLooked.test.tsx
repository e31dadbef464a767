import { screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
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
const since = '2026-11-26T09:00:00+00:00';

describe('what is new on a dossier', () => {
  it('is told with who did it, and opens', async () => {
    const user = await show(<SinceLooked look={{ since, total: 60, acts: [act], names: { edda: 'Edda Roth' } }} />);
    await user.click(screen.getByText(/60 acts by others/));
    expect(screen.getByText(/Edda Roth/).textContent).toContain('Signed');
    expect(screen.getByText(/newest 1 are shown/)).toBeTruthy();
  });

  it('is nothing at the first look, and where nobody did anything', async () => {
    await show(<SinceLooked look={{ since: null, total: 3, acts: [act], names: {} }} />);
    await show(<SinceLooked look={{ since, total: 0, acts: [], names: {} }} />);
    expect(screen.queryByText(/New since/)).toBeNull();
  });
});
