import { screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schemas } from '../lib/api';
import { change } from '../testing/make';
import { Refused, server } from '../testing/server';
import { show, vera } from '../testing/show';
import { MeetingPage } from './MeetingPage';

const row = (number: string, title: string, more: Partial<Schemas['MeetingRow']> = {}): Schemas['MeetingRow'] => ({
  change: change(number, title),
  finding: 'Feasible.',
  waiting: 0,
  cut_in: null,
  decided_by: null,
  decided_at: null,
  decision_reason: '',
  path: null,
  judges: [],
  ...more,
});
const awaiting = [
  row('ECR-00097', 'Suction line of 12 m', { waiting: 2 }),
  row('ECR-00095', 'Second source', { cut_in: '2027-04-14', path: 'Safety', judges: ['Nils Aarden', 'Lena Voss'] }),
];

async function meeting(page: Schemas['MeetingPage'], as?: Schemas['Me']) {
  server.on('GET /api/favourites', []).on('GET /api/meeting', page);
  return show(<MeetingPage />, { as });
}

describe('the meeting of the board', () => {
  it('says on which path a request is judged, and whom it asks', async () => {
    await meeting({ awaiting, decided: [], meetings: [] }, vera);
    expect(await screen.findByText(/on “Safety”: Nils Aarden, Lena Voss can sign/)).toBeTruthy();
  });

  it('lists what awaits a decision with what one has to know', async () => {
    await meeting({ awaiting, decided: [], meetings: [] });
    const [first, second] = await screen.findAllByRole('listitem');
    expect(first?.textContent).toContain('2 questions not answered yet');
    expect(second?.textContent).toContain('cut-in 14 Apr 2027');
    expect(screen.getByRole('link', { name: 'Start with the first' }).getAttribute('href')).toBe(
      '/changes/ECR-00097/decision?meeting',
    );
  });

  it('is arranged: the second goes first', async () => {
    const user = await meeting({ awaiting, decided: [], meetings: [] });
    server.on('PUT /api/meeting', { awaiting: [...awaiting].reverse(), decided: [], meetings: [] });
    const earlier = await screen.findByRole<HTMLButtonElement>('button', { name: 'Earlier: ECR-00097' });
    expect(earlier.disabled).toBe(true);
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Later: ECR-00095' }).disabled).toBe(true);
    await user.click(screen.getByRole('button', { name: 'Earlier: ECR-00095' }));
    await waitFor(() =>
      expect(server.asked('PUT /api/meeting')[0]?.body).toEqual({ requests: ['ECR-00095', 'ECR-00097'] }),
    );
  });

  it('says when somebody arranged it meanwhile', async () => {
    const user = await meeting({ awaiting, decided: [], meetings: [] });
    server.on('PUT /api/meeting', new Refused(422, 'The list has changed meanwhile.'));
    await user.click(await screen.findByRole('button', { name: 'Later: ECR-00097' }));
    expect((await screen.findByRole('alert')).textContent).toContain('The list has changed meanwhile.');
  });

  it('is only read by who does not decide', async () => {
    await meeting({ awaiting, decided: [], meetings: [] }, vera);
    expect((await screen.findAllByRole('listitem')).length).toBe(2);
    expect(screen.queryByRole('button', { name: /Earlier/ })).toBeNull();
  });

  it('tells what was decided lately, by whom and why; an order means that it was approved', async () => {
    const decided = row('ECR-00090', 'Keypad', {
      decided_by: 'Helen Marsh',
      decided_at: '2026-11-20T10:00:00+00:00',
      decision_reason: 'It pays in trust.',
      change: change('ECR-00090', 'Keypad', { state: 'ordered' }),
    });
    await meeting({ awaiting: [], decided: [decided], meetings: [] });
    const section = await screen.findByRole('region', { name: 'Decided in the last seven days' });
    expect(within(section).getByRole('listitem').textContent).toMatch(/approved.*It pays in trust\..*Helen Marsh/);
    expect(screen.getByText(/Nothing awaits a decision/)).toBeTruthy();
  });
});
