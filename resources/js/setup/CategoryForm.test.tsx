import { screen, waitFor } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../lib/api';
import { done as changed } from '../testing/done';
import { Refused, server } from '../testing/server';
import { choose, show } from '../testing/show';
import { CategoryForm } from './CategoryForm';

const category = (code: string, name: string, more: Partial<Schemas['CategoryRow']> = {}): Schemas['CategoryRow'] => ({
  code,
  name,
  under: null,
  sequence: null,
  number_prefix: '200-',
  number_width: 4,
  number_check: false,
  taken_over: null,
  taken_over_reason: '',
  items: 12,
  version: 4,
  attributes: [{ name: 'wall', label: 'Wall, mm', required: true }],
  dispositions: [{ kind: 'stock', disposition: 'rework', per_unit: '0.25' }],
  ...more,
});
const pump = category('pump', 'Pump');
const case_ = category('case', 'Case', { attributes: [], dispositions: [] });
const PATCH = 'PATCH /api/categories/pump';

async function form(done = vi.fn()) {
  const user = await show(<CategoryForm category={pump} categories={[pump, case_]} onDone={done} />);
  return { user, done };
}

describe('the settings of a category', () => {
  it('begin with what is set', async () => {
    await form();
    expect(screen.getByLabelText<HTMLInputElement>('Number prefix').value).toBe('200-');
    expect(screen.getByLabelText<HTMLInputElement>('Name of attribute 1').value).toBe('Wall, mm');
    expect(screen.getByLabelText<HTMLInputElement>('Stock: cost per unit').value).toBe('0.25');
  });

  it('are saved all at once', async () => {
    const { user, done } = await form();
    server.on(PATCH, changed('pump', 5));
    await choose(user, 'Under', 'Case');
    await choose(user, 'Purchase orders: what is done', 'Return to supplier');
    await user.type(screen.getByLabelText('Purchase orders: cost per unit'), '1.5');
    await user.click(screen.getByRole('button', { name: 'Add an attribute' }));
    await user.type(screen.getByLabelText('Name of attribute 2'), 'Hardness');
    await user.click(screen.getByRole('button', { name: 'Remove attribute Wall, mm' }));
    await user.click(screen.getByRole('checkbox', { name: 'Check digit' }));
    await user.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(done).toHaveBeenCalledOnce());
    expect(server.asked(PATCH)[0]?.body).toEqual({
      version: 4,
      name: 'Pump',
      under: 'case',
      number_prefix: '200-',
      number_width: 4,
      number_check: true,
      sequence: null,
      taken_over: null,
      taken_over_reason: '',
      attributes: [{ name: '', label: 'Hardness', required: false }],
      dispositions: [
        { kind: 'stock', disposition: 'rework', per_unit: '0.25' },
        { kind: 'purchase_order', disposition: 'return', per_unit: '1.5' },
      ],
    });
  });

  it('can leave what is usually done unset', async () => {
    const { user, done } = await form();
    server.on(PATCH, changed('pump', 5));
    await choose(user, 'Stock: what is done', 'Not set');
    expect(screen.queryByLabelText('Stock: cost per unit')).toBeNull();
    await user.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(done).toHaveBeenCalledOnce());
    expect(server.asked(PATCH)[0]?.body).toMatchObject({ dispositions: [] });
  });

  it('say how plants take it over, with the reason where it is left out', async () => {
    const { user, done } = await form();
    expect(screen.queryByLabelText('Reason on record')).toBeNull();
    await choose(user, 'Plants take it over', 'Left out on record');
    server.on(PATCH, new Refused(422, 'No.', { taken_over_reason: ['Say why it is left out.'] }));
    await user.click(screen.getByRole('button', { name: 'Save' }));
    expect(await screen.findByText(/Say why it is left out/)).toBeTruthy();
    await user.type(screen.getByLabelText('Reason on record'), 'Issued to the work place.');
    server.on(PATCH, changed('pump', 5));
    await user.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(done).toHaveBeenCalledOnce());
    expect(server.asked(PATCH)[1]?.body).toMatchObject({
      taken_over: 'left_out',
      taken_over_reason: 'Issued to the work place.',
    });
  });

  it('say at each field what is wrong with it, once', async () => {
    const { user, done } = await form();
    server.on(
      PATCH,
      new Refused(422, 'No.', {
        under: ['It would stand under itself.'],
        'attributes.0.label': ['Give it a name.'],
        'dispositions.0.per_unit': ['Write an amount.'],
      }),
    );
    await user.click(screen.getByRole('button', { name: 'Save' }));
    expect(await screen.findByText(/It would stand under itself/)).toBeTruthy();
    expect(screen.getAllByText(/Give it a name/).length).toBe(1);
    expect(screen.getAllByText(/Write an amount/).length).toBe(1);
    expect(screen.queryByRole('alert')).toBeNull();
    expect(done).not.toHaveBeenCalled();
  });

  it('do not offer a category to stand under itself', async () => {
    const { user } = await form();
    await user.click(screen.getByRole('combobox', { name: 'Under' }));
    expect((await screen.findAllByRole('option')).map((one) => one.textContent.replace('·', ''))).toEqual([
      'None',
      'Case',
    ]);
  });
});
