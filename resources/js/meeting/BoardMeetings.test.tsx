import { screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { Refused, server } from '../testing/server';
import { mira, show, vera } from '../testing/show';
import { BoardMeetings } from './BoardMeetings';

const meetings = [
  { id: 3, starts_at: '2026-12-03T13:30:00+00:00', minutes: 60, place: 'Room Tarn' },
  { id: 4, starts_at: '2026-12-10T13:30:00+00:00', minutes: 45, place: '' },
];

describe('when the board meets', () => {
  it('is set by who decides, and what cannot be is said at its field', async () => {
    server.on('POST /api/meeting/days', new Refused(422, 'No.', { time: ['Give the time as 14:30.'] }));
    const user = await show(<BoardMeetings meetings={[]} />, { as: mira });
    await user.click(screen.getByText('Say when the board meets'));
    const form = screen.getByRole('form', { name: 'New meeting' });
    await user.type(within(form).getByLabelText('Day'), '2026-12-17');
    await user.type(within(form).getByLabelText('Time'), 'noon');
    await user.type(within(form).getByLabelText('Place'), 'Room Tarn');
    await user.click(within(form).getByRole('button', { name: 'Add meeting' }));
    expect(await within(form).findByText(/Give the time as 14:30/)).toBeTruthy();
    expect(server.asked('POST /api/meeting/days')[0]?.body).toEqual({
      day: '2026-12-17',
      time: 'noon',
      minutes: 60,
      place: 'Room Tarn',
    });
  });

  it('is called off', async () => {
    server.on('DELETE /api/meeting/days/4', null);
    const user = await show(<BoardMeetings meetings={meetings} />, { as: mira });
    await user.click(screen.getAllByRole('button', { name: /^Call off the meeting of/ })[1] as HTMLElement);
    await waitFor(() => expect(server.asked('DELETE /api/meeting/days/4')).toHaveLength(1));
  });

  it('is read by all', async () => {
    await show(<BoardMeetings meetings={meetings} />, { as: vera });
    expect(screen.getByText(/Room Tarn/)).toBeTruthy();
    expect(screen.queryByRole('button')).toBeNull();
  });
});
