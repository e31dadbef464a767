import { screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schemas } from '../lib/api';
import { done } from '../testing/done';
import { change } from '../testing/make';
import { Refused, server } from '../testing/server';
import { show } from '../testing/show';
import { PlantAccounts } from './PlantAccounts';

const row = (plant: string, more: Partial<Schemas['PlantAccount']> = {}): Schemas['PlantAccount'] => ({
  item: '200-0010',
  title: 'Pump head',
  plant,
  built: 'A',
  becomes: null,
  lines: 9,
  open: 2,
  additions: 0,
  edits: [],
  later: null,
  ...more,
});
const PATH = '/api/orders/ECO-00090/items/200-0010/plants/Weir/follow-up';

describe('plants that build what an order changes', () => {
  it('says what becomes of each, and leads to its operations and lines', async () => {
    await show(<PlantAccounts order="ECO-00090" rows={[row('Weir', { becomes: 'B', open: 0 }), row('Tarn')]} />);
    const [, weir, tarn] = screen.getAllByRole('row').map(({ textContent }) => textContent);
    expect(weir).toContain('A → B');
    expect(weir).toContain('complete, 9 lines');
    expect(tarn).toContain('2 of 9 lines open');
    expect(screen.getByRole('link', { name: 'Operations and lines of 200-0010 at Weir' }).getAttribute('href')).toBe(
      '/orders/ECO-00090/build/200-0010/Weir',
    );
    expect(screen.queryByRole('button', { name: /follows later/ })).toBeNull();
  });

  it('lets who plans decide that a plant follows later, with the reasons at their places', async () => {
    server.on(`PUT ${PATH}`, new Refused(422, 'No.', { order: ['There is no order ECO-00099.'] }));
    const user = await show(<PlantAccounts order="ECO-00090" rows={[row('Weir')]} version={7} />);
    await user.click(screen.getByRole('button', { name: '200-0010 at Weir follows later …' }));
    const form = screen.getByRole('form', { name: '200-0010 at Weir follows later' });
    server.on('GET /api/changes', [change('ECO-00099', 'Tubes at Weir'), change('ECO-00090', 'This one')]);
    await user.type(within(form).getByRole('combobox', { name: 'Under order' }), 'ECO');
    expect(await screen.findAllByRole('option')).toHaveLength(1);
    await user.click(screen.getByRole('option', { name: /ECO-00099/ }));
    await user.type(within(form).getByLabelText('By'), '2031-05-06');
    await user.type(within(form).getByLabelText('Reason'), 'Tubes are used up first.');
    await user.click(within(form).getByRole('button', { name: 'Follows later' }));
    expect(await within(form).findByText(/There is no order ECO-00099/)).toBeTruthy();
    server.on(`PUT ${PATH}`, done('ECO-00090'));
    await user.click(within(form).getByRole('button', { name: 'Follows later' }));
    await waitFor(() => expect(screen.queryByRole('form')).toBeNull());
    expect(server.asked(`PUT ${PATH}`).at(-1)?.body).toEqual({
      order: 'ECO-00099',
      by: '2031-05-06',
      reason: 'Tubes are used up first.',
      version: 7,
    });
  });

  it('shows the decision, which can be taken back', async () => {
    server.on(`DELETE ${PATH}`, done('ECO-00090'));
    const later = { order: 'ECO-00091', by: '2031-05-06', reason: 'Tubes first.' };
    const user = await show(<PlantAccounts order="ECO-00090" rows={[row('Weir', { later })]} version={7} />);
    expect(screen.getAllByRole('row')[1]?.textContent).toContain('ECO-00091 by 6 May 2031: Tubes first.');
    await user.click(screen.getByRole('button', { name: /follows later/ }));
    await user.click(screen.getByRole('button', { name: 'Does not follow later' }));
    await waitFor(() => expect(server.asked(`DELETE ${PATH}`)).toHaveLength(1));
  });
});
