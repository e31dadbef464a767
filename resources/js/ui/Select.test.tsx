import { screen } from '@testing-library/react';
import { expect, it, vi } from 'vitest';
import { show } from '../testing/show';
import { Select } from './Select';

const parents = (count: number) =>
  Object.fromEntries(Array.from({ length: count }, (_, at) => [`100-${1000 + at}`, `Parent ${at}`]));

it('makes the options of a long list when it opens, and says which is chosen before', async () => {
  const chosen = vi.fn();
  const user = await show(
    <Select<string> aria-label="Parent" value="100-1099" options={parents(100)} onChange={chosen} />,
  );
  const control = screen.getByRole('combobox', { name: 'Parent' });
  expect(control.textContent).toContain('Parent 99');
  expect(screen.queryAllByRole('option', { hidden: true })).toHaveLength(0);
  control.focus();
  await user.keyboard('{Enter}');
  await user.click(await screen.findByRole('option', { name: 'Parent 3' }));
  expect(chosen).toHaveBeenCalledWith('100-1003');
  expect(screen.queryAllByRole('option', { hidden: true })).toHaveLength(0);
});

it('chooses by a letter typed on the closed control, where there are a few', async () => {
  const chosen = vi.fn();
  const user = await show(
    <Select<string>
      aria-label="Group by"
      value="parent"
      options={{ parent: 'By parent', component: 'Component' }}
      onChange={chosen}
    />,
  );
  screen.getByRole('combobox', { name: 'Group by' }).focus();
  await user.keyboard('c');
  expect(chosen).toHaveBeenCalledWith('component');
});
