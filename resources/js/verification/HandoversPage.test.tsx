import { screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schemas } from '../lib/api';
import { done } from '../testing/done';
import { Refused, server } from '../testing/server';
import { address, choose, show } from '../testing/show';
import { HandoversPage } from './HandoversPage';

const RESEND = 'POST /api/hand-overs/deliveries';
const CORRECT = 'POST /api/hand-overs/corrections';
const VERIFY = 'POST /api/hand-overs/verification';
const CANCEL = 'DELETE /api/hand-overs/verification';

const verification: Schemas['VerificationRow'] = {
  state: 'done',
  asked_by: null,
  asked_at: '2026-11-29T02:00:00+00:00',
  ended_at: '2026-11-29T02:01:00+00:00',
  progress: 100,
  compared: 1247,
  differing: 2,
  fault: '',
};
const unsettled = (name: string, more: Partial<Schemas['UnsettledHandover']> = {}): Schemas['UnsettledHandover'] => ({
  name,
  order: 'ECO-00082',
  title: 'Folded bracket',
  state: 'partly_refused',
  sending: false,
  entries: 41,
  refused: 3,
  reason: 'Item 200-0052 is locked in planning.',
  tries: 1,
  since: '2026-11-06T09:41:00+00:00',
  ...more,
});
const difference = (id: number, more: Partial<Schemas['DifferenceRow']> = {}): Schemas['DifferenceRow'] => ({
  id,
  structure: 'engineering',
  plant: '',
  item: '230-0001',
  revision: 'E',
  part: `Line ${id}0 230-0010`,
  mark: 'change',
  fields: [{ field: 'quantity', there: '3', here: '1' }],
  mover: 'there',
  order: 'ECO-00072',
  reason: '',
  page: 'https://planning.example/structures/230-0001',
  found_at: '2026-11-29T02:01:00+00:00',
  ...more,
});

async function page(
  health: Partial<Schemas['HandoverHealth']> = {},
  rows: Schemas['DifferenceRow'][] = [difference(1)],
) {
  server
    .on('GET /api/favourites', [])
    .on('GET /api/hand-overs', {
      handovers: [],
      differing: rows.length,
      files_undelivered: 2,
      verification,
      verifying: false,
      may: true,
      ...health,
    } satisfies Schemas['HandoverHealth'])
    .on('GET /api/hand-overs/differences', { total: rows.length, from: 0, rows } satisfies Schemas['DifferencePage'])
    .on(RESEND, done('planning', 0))
    .on(CORRECT, done('planning', 0))
    .on(VERIFY, done('planning', 0))
    .on(CANCEL, done('planning', 0));
  const user = await show(<HandoversPage />, { at: '/hand-overs', path: '/hand-overs' });
  await screen.findByText(/rows?$/);
  return user;
}
const cells = (text: string) =>
  within(screen.getByText(text).closest('tr') as HTMLElement)
    .getAllByRole('gridcell')
    .map((cell) => cell.textContent);

describe('hand-overs to planning', () => {
  it('says how each stands that planning has not accepted, and resends one or all', async () => {
    const user = await page({
      handovers: [
        unsettled('ECO-00082_1'),
        unsettled('ECO-00092_2', { state: 'unanswered', refused: 0, reason: 'Planning does not answer.', tries: 5 }),
        unsettled('correction_3', { state: 'waiting', order: null, title: 'Correction', sending: true, refused: 0 }),
      ],
    });
    expect(
      screen.getByText(
        '1 on the way · 1 rejected · 1 unanswered · 1 row differs in planning · 2 files for other systems not delivered',
      ),
    ).toBeTruthy();
    expect(cells('ECO-00082_1')).toEqual(expect.arrayContaining(['partly rejected', '3 of 41']));
    expect(cells('correction_3')).toContain('sent, waiting for planning');
    const row = screen.getByText('ECO-00092_2').closest('tr') as HTMLElement;
    await user.click(within(row).getByRole('checkbox'));
    await user.click(screen.getByRole('button', { name: 'Resend 1' }));
    await waitFor(() => expect(server.asked(RESEND)[0]?.body).toEqual({ names: ['ECO-00092_2'] }));
    server.on(RESEND, new Refused(422, 'No.', { names: ['Nothing has to be resent.'] }));
    await user.click(screen.getByRole('button', { name: 'Resend all 2' }));
    expect(await screen.findByText(/Nothing has to be resent/)).toBeTruthy();
    expect(server.asked(RESEND)[1]?.body).toEqual({ names: [] });
  });

  it('sets what planning has beside what holds here, with who moved', async () => {
    await page({}, [
      difference(1),
      difference(2, {
        mark: 'add',
        mover: 'never',
        reason: 'Item 200-0052 is locked in planning.',
        fields: [
          { field: 'component', there: '', here: '200-0052' },
          { field: 'quantity', there: '', here: '1' },
          { field: 'unit', there: '', here: 'pc' },
        ],
      }),
      difference(3, {
        structure: 'manufacturing',
        plant: 'Weir',
        mark: 'replace',
        fields: [{ field: 'component', there: '200-0051', here: '200-0052' }],
      }),
      difference(4, {
        part: 'Revision',
        fields: [{ field: 'effectiveFrom', there: '2026-12-01', here: '2026-12-08' }],
      }),
    ]);
    expect(cells('Line 10 230-0010').slice(4, 10)).toEqual([
      '≠changed different there',
      '3',
      '1',
      'Changed in planning',
      'ECO-00072',
      '29 Nov 2026',
    ]);
    expect(cells('Line 20 230-0010').slice(4, 8)).toEqual([
      '+added missing there',
      '–',
      '1 pc',
      'Never acceptedItem 200-0052 is locked in planning.',
    ]);
    expect(cells('Line 30 230-0010').slice(2, 7)).toEqual([
      'Manufacturing at Weir',
      'Line 30 230-0010',
      '⇄replaced another there',
      'component 200-0051',
      'component 200-0052',
    ]);
    expect(cells('Revision').slice(5, 7)).toEqual(['effective from 1 Dec 2026', 'effective from 8 Dec 2026']);
  });

  it('has chosen rows put right in planning, or begins a request about them', async () => {
    const user = await page({}, [difference(1), difference(2)]);
    const all = within(screen.getByRole('grid', { name: "Where planning's copy differs" })).getAllByRole('checkbox');
    await user.click(all[0] as HTMLElement);
    await user.click(screen.getByRole('button', { name: 'Correct in planning 2' }));
    await waitFor(() => expect(server.asked(CORRECT)[0]?.body).toEqual({ ids: [1, 2] }));
    await user.click(all[1] as HTMLElement);
    await user.click(screen.getByRole('button', { name: 'Raise a request …' }));
    const asked = new URL(address(), 'http://here');
    expect(asked.pathname).toBe('/requests/new');
    expect(Object.fromEntries(asked.searchParams)).toEqual({
      items: '230-0001',
      title: 'Planning differs: 230-0001',
      description: '230-0001 E, Engineering, Line 10 230-0010: 3 in planning, 1 here',
    });
  });

  it('filters by the address', async () => {
    const user = await page();
    await choose(user, 'Why', 'Never accepted');
    await waitFor(() => expect(address()).toBe('/hand-overs?mover=never'));
    expect(server.asked('GET /api/hand-overs/differences').at(-1)?.query).toEqual({ mover: 'never', from: '0' });
  });

  it('verifies, says how far it is, and cancels', async () => {
    const user = await page();
    expect(screen.getByText('Verified 29 Nov 2026, 02:01: 1 247 rows compared')).toBeTruthy();
    server.on('GET /api/hand-overs', {
      handovers: [],
      differing: 1,
      files_undelivered: 2,
      verification: { ...verification, state: 'running', progress: 40 },
      verifying: true,
      may: true,
    } satisfies Schemas['HandoverHealth']);
    await user.click(screen.getByRole('button', { name: 'Verify planning' }));
    expect(await screen.findByText('Comparing with planning, 40 % …')).toBeTruthy();
    expect(server.asked(VERIFY)).toHaveLength(1);
    await user.click(screen.getByRole('button', { name: 'Cancel' }));
    await waitFor(() => expect(server.asked(CANCEL)).toHaveLength(1));
  });

  it('offers nothing to send to whoever only reads, and says why planning was not read', async () => {
    await page({
      may: false,
      handovers: [unsettled('ECO-00082_1')],
      verification: { ...verification, state: 'silent', fault: 'Planning does not answer.' },
    });
    expect(screen.getByText('Not verified on 29 Nov 2026, 02:01: Planning does not answer.')).toBeTruthy();
    for (const name of ['Resend all 1', 'Verify planning']) expect(screen.queryByRole('button', { name })).toBeNull();
  });
});
