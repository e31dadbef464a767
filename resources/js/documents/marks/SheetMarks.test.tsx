import { screen, within } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../../lib/api';
import { file } from '../../testing/make';
import { Refused, server } from '../../testing/server';
import { show } from '../../testing/show';
import { SheetMarks } from './SheetMarks';

const draft = file('a', 'head B.svg', { revision: null, status: 'in_work' });

const told = (more: Partial<Schemas['SheetMarks']> = {}): Schemas['SheetMarks'] => ({
  revision: 'B',
  may_set: true,
  marks: [
    {
      id: 7,
      page: 1,
      left: 0.2,
      top: 0.4,
      zone: 'C2',
      note: 'Hole 6 → 8',
      set_by: 'Jonas Weir',
      set_at: '2026-11-24T09:00:00+00:00',
    },
  ],
  ...more,
});

async function marks(answer: Schemas['SheetMarks']) {
  server.on('GET /api/files/a/marks', answer);
  return show(<SheetMarks file={draft} page={2} />);
}

describe('marks of change', () => {
  it('are told with their revision and zone, and taken off again', async () => {
    const user = await marks(told());
    expect((await screen.findByText('◁ B C2')).closest('li')?.textContent).toContain('Hole 6 → 8');
    server.on('DELETE /api/files/a/marks/7', told({ marks: [] })).on('GET /api/files/a/marks', told({ marks: [] }));
    await user.click(screen.getByRole('button', { name: 'Remove mark C2 Hole 6 → 8' }));
    await screen.findByRole('button', { name: 'Set mark' });
    expect(screen.queryByText('◁ B C2')).toBeNull();
  });

  it('are set in a zone of the page in sight; what is wrong is said at its field, and what was written stays', async () => {
    const user = await marks(told({ marks: [] }));
    await user.type(await screen.findByLabelText('Zone'), 'G1');
    await user.type(screen.getByLabelText('What has changed there'), 'Date');
    server.on('POST /api/files/a/marks', new Refused(422, 'No.', { zone: ['There is no such zone on the sheet.'] }));
    await user.click(screen.getByRole('button', { name: 'Set mark' }));
    expect(await screen.findByText('There is no such zone on the sheet.')).toBeTruthy();
    expect(screen.getByLabelText<HTMLInputElement>('What has changed there').value).toBe('Date');
    expect(server.asked('POST /api/files/a/marks')[0]?.body).toEqual({ page: 2, zone: 'G1', note: 'Date' });
  });

  it('are only read by others', async () => {
    await marks(told({ may_set: false }));
    const region = within(await screen.findByRole('region', { name: 'Marks of change' }));
    expect(region.queryByRole('button')).toBeNull();
  });

  it('are not told of where there are none, and nobody may set any', async () => {
    await marks(told({ may_set: false, marks: [] }));
    await vi.waitFor(() => expect(server.asked('GET /api/files/a/marks')).toHaveLength(1));
    expect(screen.queryByRole('region')).toBeNull();
  });
});
