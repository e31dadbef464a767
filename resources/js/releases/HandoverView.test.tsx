import { screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schemas } from '../lib/api';
import { done } from '../testing/done';
import { Refused, server } from '../testing/server';
import { mira, show, vera } from '../testing/show';
import { HandoverView } from './HandoverView';

const entry = (number: number, more: Partial<Schemas['HandoverEntryRow']> = {}): Schemas['HandoverEntryRow'] => ({
  plant: null,
  operation: null,
  title: null,
  number,
  action: 'change',
  item: '200-0010',
  revision: 'F',
  find: 50,
  component: '200-0041',
  data: null,
  by_product: false,
  quantity: '0.5',
  unit: 'm',
  answer: 'taken',
  reason: '',
  ...more,
});
const handover: Schemas['HandoverRow'] = {
  name: 'ECO-00082_2026-11-02_000084',
  number: 84,
  state: 'partly_refused',
  written_at: '2026-11-02T08:00:00+00:00',
  answered_at: '2026-11-02T08:01:00+00:00',
  sending: false,
  tries: 1,
  last_error: '',
  introduced: [],
  entries: [entry(1), entry(2, { answer: 'refused', reason: 'Item 200-0041 is not known to planning.' })],
};
const tomas = { ...mira, abilities: ['send_handover'] };
const SEND = 'POST /api/handovers/ECO-00082_2026-11-02_000084/delivery';

describe('a hand-over', () => {
  it('tells entry by entry what planning said, and how much was refused', async () => {
    await show(<HandoverView handover={handover} />, { as: vera });
    expect(screen.getByText('■ accepted')).toBeTruthy();
    expect(screen.getByText('▲ rejected: Item 200-0041 is not known to planning.')).toBeTruthy();
    expect(screen.getByRole('alert').textContent).toContain('Planning rejected 1 of 2 entries.');
  });

  it('says of a by-product that it comes out', async () => {
    await show(<HandoverView handover={{ ...handover, entries: [entry(1, { by_product: true })] }} />, { as: vera });
    expect(screen.getByText(/comes out/)).toBeTruthy();
  });

  it('says which items planning lacked and was told of first', async () => {
    await show(<HandoverView handover={{ ...handover, introduced: ['200-0041', '200-0052'] }} />, { as: vera });
    expect(screen.getByText(/Planning lacked 200-0041, 200-0052: introduced before/)).toBeTruthy();
  });

  it('says of the data of an item which field, and what it reads', async () => {
    const data = entry(1, {
      find: null,
      component: null,
      quantity: null,
      unit: null,
      data: 'Minimum lot at Weir: 250',
    });
    await show(<HandoverView handover={{ ...handover, entries: [data] }} />, { as: vera });
    expect(screen.getByText('Minimum lot at Weir: 250')).toBeTruthy();
  });

  it('gives the files as they were sent', async () => {
    await show(<HandoverView handover={handover} />, { as: vera });
    expect(screen.getByRole('link', { name: 'XML' }).getAttribute('href')).toBe(
      '/api/handovers/ECO-00082_2026-11-02_000084/files/xml',
    );
  });

  it('is sent again by whom may, and tells when that cannot be', async () => {
    const user = await show(<HandoverView handover={handover} />, { as: tomas });
    server.on(SEND, new Refused(422, 'It is on its way already.'));
    await user.click(screen.getByRole('button', { name: 'Resend' }));
    expect(await screen.findByText('It is on its way already.')).toBeTruthy();
    server.on(SEND, done('ECO-00090'));
    await user.click(screen.getByRole('button', { name: 'Resend' }));
    await waitFor(() => expect(server.asked(SEND).length).toBe(2));
  });

  it('is not sent by who only reads', async () => {
    await show(<HandoverView handover={handover} />, { as: vera });
    expect(screen.queryByRole('button', { name: 'Resend' })).toBeNull();
  });

  it('says how often it was tried while planning does not answer', async () => {
    await show(
      <HandoverView
        handover={{ ...handover, state: 'unanswered', tries: 3, last_error: 'Planning does not answer.', entries: [] }}
      />,
      { as: vera },
    );
    expect(screen.getByRole('status').textContent).toContain('Planning does not answer. Tried 3 times');
    expect(screen.getByText('It has no entries.')).toBeTruthy();
  });
});
