import { screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { done } from '../testing/done';
import { Refused, server } from '../testing/server';
import { choices, mira, show } from '../testing/show';
import { ChoicesPage } from './ChoicesPage';

const ivo = { ...mira, abilities: ['set_up'] };

describe('what people choose from', () => {
  it('is shown list by list to everybody', async () => {
    await show(<ChoicesPage />);
    const sites = await screen.findByRole('grid', { name: 'Sites' });
    expect(within(sites).getByText('Weir, electronics and pumps')).toBeTruthy();
    expect(screen.queryByRole('button', { name: /^Change|^Add/ })).toBeNull();
  });

  it('is added to, and the fields are empty for the next', async () => {
    const user = await show(<ChoicesPage />, { as: ivo });
    const form = await screen.findByRole('form', { name: 'New site' });
    await user.type(within(form).getByRole('textbox', { name: /Code/ }), 'Holm');
    await user.type(within(form).getByRole('textbox', { name: 'Name' }), 'Holm, castings');
    const added = { list: 'site', code: 'Holm', name: 'Holm, castings', retired: false, version: 1 };
    server.on('POST /api/choices', done('Holm', 1));
    server.on('GET /api/choices', [...choices, added]);
    await user.click(within(form).getByRole('button', { name: 'Add a site' }));
    expect(await screen.findByText('Holm, castings')).toBeTruthy();
    expect(server.asked('POST /api/choices')[0]?.body).toEqual({
      list: 'site',
      code: 'Holm',
      name: 'Holm, castings',
    });
    expect(within(form).getByRole('textbox', { name: 'Name' })).toHaveProperty('value', '');
  });

  it('is renamed, or offered no longer, with the version that was seen', async () => {
    const user = await show(<ChoicesPage />, { as: ivo });
    await user.click(await screen.findByRole('button', { name: 'Change Tarn, final assembly' }));
    const form = screen.getByRole('form', { name: 'Change Tarn, final assembly' });
    server.on('PATCH /api/choices/site/Tarn', done('Tarn'));
    await user.clear(within(form).getByRole('textbox', { name: 'Name of Tarn' }));
    await user.type(within(form).getByRole('textbox', { name: 'Name of Tarn' }), 'Tarn');
    await user.click(within(form).getByRole('button', { name: 'Retire' }));
    await waitFor(() =>
      expect(server.asked('PATCH /api/choices/site/Tarn')[0]?.body).toEqual({
        name: 'Tarn',
        retired: true,
        version: 1,
      }),
    );
    await waitFor(() => expect(screen.queryByRole('form', { name: /^Change/ })).toBeNull());
  });

  it('says at its field why it cannot be', async () => {
    const user = await show(<ChoicesPage />, { as: ivo });
    const form = await screen.findByRole('form', { name: 'New reason' });
    server.on(
      'POST /api/choices',
      new Refused(422, 'There is defect in this list already.', { code: ['There is defect in this list already.'] }),
    );
    await user.click(within(form).getByRole('button', { name: 'Add a reason' }));
    expect(await within(form).findByText('There is defect in this list already.')).toBeTruthy();
  });
});
