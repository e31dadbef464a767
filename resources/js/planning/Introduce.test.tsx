import { screen, waitFor } from '@testing-library/react';
import { expect, it } from 'vitest';
import { Refused, server } from '../testing/server';
import { show } from '../testing/show';
import { Introduce } from './Introduce';

it('tells planning of all items that it lacks in one act, and says when it knows them', async () => {
  server.on('POST /api/planning/items', new Refused(422, 'Planning does not answer. Nothing was introduced.'));
  const user = await show(<Introduce numbers={['200-0052', '200-0053']} />);
  await user.click(screen.getByRole('button', { name: 'Introduce 2 to planning' }));
  expect(await screen.findByText('Planning does not answer. Nothing was introduced.')).toBeTruthy();
  server.on('POST /api/planning/items', null);
  await user.click(screen.getByRole('button', { name: 'Introduce 2 to planning' }));
  await waitFor(() => expect(screen.getByText('Planning knows them now.')).toBeTruthy());
  expect(server.asked('POST /api/planning/items').at(-1)?.body).toEqual({ items: ['200-0052', '200-0053'] });
});
