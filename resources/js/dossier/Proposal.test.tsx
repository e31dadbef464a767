import { screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schemas } from '../lib/api';
import { done } from '../testing/done';
import { head, item, onOrder } from '../testing/make';
import { Refused, server } from '../testing/server';
import { show } from '../testing/show';
import { Proposal } from './Proposal';

const AT = '/api/requests/ECR-00096/proposal';

async function proposal(more: Partial<Schemas['Proposal']> = {}) {
  server
    .on('GET /api/favourites', [])
    .on('GET /api/orders/ECR-00096/data', [])
    .on('GET /api/orders/ECR-00096/accountability', [])
    .on('GET /api/items', { rows: [item('200-0041', 'Pump tube, 2.4')], total: 1 });
  return show(
    <Proposal
      proposal={{ request: 'ECR-00096', may_propose: true, names_more: true, items: [], left_out: [], ...more }}
    />,
  );
}

describe('the lines that a request proposes', () => {
  it('are begun by who may, and otherwise not spoken of', async () => {
    const user = await proposal();
    server.on(`POST ${AT}`, done('ECR-00096'));
    await user.click(await screen.findByRole('button', { name: 'Propose lines' }));
    await waitFor(() => expect(server.asked(`POST ${AT}`)[0]?.body).toEqual({ items: [] }));
  });

  it('are nothing to who may not, as long as there are none', async () => {
    await proposal({ may_propose: false });
    expect(screen.queryByText('Proposed lines')).toBeNull();
  });

  it('lead to the pages on which they are edited; another item is opened, and refused at its place', async () => {
    const user = await proposal({ items: [onOrder(head, { changes: 2 })], names_more: false });
    expect((await screen.findByRole('link', { name: 'Revise' })).getAttribute('href')).toBe(
      '/orders/ECR-00096/revise/200-0010',
    );
    expect(screen.getByText('2 lines differ')).toBeTruthy();
    // What is edited stays on record.
    expect(screen.queryByRole('button', { name: 'Propose no lines' })).toBeNull();
    server.on(`POST ${AT}`, new Refused(422, 'No.', { items: ['200-0041 is retired: it gets no new revision.'] }));
    await user.type(screen.getByRole('combobox', { name: 'Open another item' }), '200-0041{Enter}');
    expect(await screen.findByText(/200-0041 is retired/)).toBeTruthy();
    expect(server.asked(`POST ${AT}`)[0]?.body).toEqual({ items: ['200-0041'] });
  });

  it('are given up while nothing is edited, and only read by others', async () => {
    const user = await proposal({ items: [onOrder(head)], names_more: false });
    server.on(`DELETE ${AT}`, done('ECR-00096'));
    await user.click(await screen.findByRole('button', { name: 'Propose no lines' }));
    await waitFor(() => expect(server.asked(`DELETE ${AT}`)).toHaveLength(1));
  });

  it('are seen before and after by everybody else', async () => {
    await proposal({ items: [onOrder(head, { changes: 1 })], may_propose: false });
    expect(await screen.findByRole('link', { name: 'Before and after' })).toBeTruthy();
    expect(screen.queryByRole('link', { name: /Replace a component/ })).toBeNull();
    expect(screen.queryByRole('combobox')).toBeNull();
  });
});
