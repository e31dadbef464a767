import { screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schemas } from '../lib/api';
import { done } from '../testing/done';
import { Refused, server } from '../testing/server';
import { mira, show } from '../testing/show';
import { ProfilesPage } from './ProfilesPage';

const ivo = { ...mira, abilities: ['connect_systems'] };
const weir: Schemas['HandoverProfileRow'] = {
  code: 'weir',
  name: 'Line control',
  target: 'http',
  address: 'https://weir.example/files',
  login: '',
  host_key: '',
  has_secret: true,
  moments: ['taken'],
  structures: ['manufacturing'],
  plants: ['Weir'],
  fields: ['component', 'operation'],
  format: 'csv',
  file_name: '{order}_{number}',
  retired: false,
  version: 2,
  state: { waiting: 0, undelivered: 0, last_arrived_at: '2026-11-20T08:00:00Z', fault: '' },
};

const past = {
  name: 'ECO-00082_2026-12-11_000017',
  kind: 'release',
  title: 'Folded bracket',
  written_at: '2026-11-06T09:41:00Z',
};

function answers() {
  server
    .on('GET /api/favourites', [])
    .on('GET /api/hand-over-profiles', [weir])
    .on('GET /api/past-hand-overs', { total: 1, rows: [past] });
}

async function opened() {
  answers();
  const user = await show(<ProfilesPage />, { as: ivo });
  await user.click(await screen.findByRole('button', { name: 'Change Line control' }));
  return { user, form: screen.getByRole('form', { name: 'Change Line control' }) };
}

describe('hand-over profiles', () => {
  it('say what goes where, when and as what', async () => {
    answers();
    await show(<ProfilesPage />, { as: ivo });
    expect(await screen.findByText('manufacturing structures and routings; at Weir')).toBeTruthy();
    expect(screen.getByText('planning has accepted a release')).toBeTruthy();
    expect(screen.getByText('CSV, HTTP')).toBeTruthy();
    expect(screen.getByText('all delivered')).toBeTruthy();
  });

  it('keep the token that is set, unless another is given or it is removed', async () => {
    const { user, form } = await opened();
    server.on('PUT /api/hand-over-profiles/weir', done('weir', 3));
    await user.click(within(form).getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(server.asked('PUT /api/hand-over-profiles/weir')).toHaveLength(1));
    expect(server.asked('PUT /api/hand-over-profiles/weir')[0]?.body).toMatchObject({
      version: 2,
      fields: ['component', 'operation'],
    });
    expect(server.asked('PUT /api/hand-over-profiles/weir')[0]?.body).not.toHaveProperty('secret');
  });

  it('have the token removed on purpose', async () => {
    const { user, form } = await opened();
    server.on('PUT /api/hand-over-profiles/weir', done('weir', 3));
    await user.click(within(form).getByRole('checkbox', { name: 'Remove the token' }));
    await user.click(within(form).getByRole('button', { name: 'Save' }));
    await waitFor(() =>
      expect(server.asked('PUT /api/hand-over-profiles/weir')[0]?.body).toMatchObject({ keep_secret: false }),
    );
  });

  it('ask of SFTP for a name, a fingerprint and what opens it, and say what is wrong', async () => {
    answers();
    const user = await show(<ProfilesPage />, { as: ivo });
    const form = await screen.findByRole('form', { name: 'New hand-over profile' });
    await user.type(within(form).getByRole('textbox', { name: /Code/ }), 'tarn');
    await user.click(within(form).getByRole('combobox', { name: 'Where' }));
    await user.click(screen.getByRole('option', { name: 'SFTP' }));
    await user.type(within(form).getByRole('textbox', { name: 'Host, port and folder' }), 'tarn.example:22/in');
    server.on(
      'PUT /api/hand-over-profiles/tarn',
      new Refused(422, 'No.', {
        host_key: ['Give the fingerprint of the host.'],
        file_name: ['Put {{number} into it.'],
      }),
    );
    await user.click(within(form).getByRole('button', { name: 'Add the profile' }));
    expect(await within(form).findByText(/Give the fingerprint of the host/)).toBeTruthy();
    expect(server.asked('PUT /api/hand-over-profiles/tarn')[0]?.body).toMatchObject({
      target: 'sftp',
      address: 'tarn.example:22/in',
      format: 'csv',
    });
  });

  it('are tried out on a past hand-over as they are on screen', async () => {
    const { user, form } = await opened();
    server.on('POST /api/hand-over-previews', {
      file_name: 'ECO-00082_000001.csv',
      entries: 3,
      left_out: 9,
      bytes: 210,
      lines: 4,
      begins: 'order,entry\nECO-00082,4',
    });
    await user.click(within(form).getByText('Fields: 2 chosen'));
    await user.click(within(form).getByRole('checkbox', { name: 'Quantity' }));
    const field = within(form).getByRole('combobox', { name: 'Past hand-over' });
    await user.type(field, '82');
    await user.click(await screen.findByRole('option', { name: /ECO-00082/ }));
    expect(await within(form).findByText(/3 of 12 entries/)).toBeTruthy();
    expect(within(form).getByText(/first 2 of 4 lines shown/)).toBeTruthy();
    expect(server.asked('POST /api/hand-over-previews')[0]?.body).toMatchObject({
      hand_over: past.name,
      fields: ['component', 'operation', 'quantity'],
    });
    server.on('POST /api/hand-over-profiles/weir/files', done('weir', 2));
    await user.click(within(form).getByRole('button', { name: 'Send this one, as saved' }));
    expect(await within(form).findByText(/Sent; it stands among the messages/)).toBeTruthy();
  });

  it('say where nothing of it is for them', async () => {
    const { user, form } = await opened();
    server.on('POST /api/hand-over-previews', {
      file_name: null,
      entries: 0,
      left_out: 9,
      bytes: 0,
      lines: 0,
      begins: '',
    });
    await user.type(within(form).getByRole('combobox', { name: 'Past hand-over' }), '82');
    await user.click(await screen.findByRole('option', { name: /ECO-00082/ }));
    expect(await within(form).findByText(/no file is written/)).toBeTruthy();
    expect(within(form).queryByRole('button', { name: /Send this one/ })).toBeNull();
  });
});
