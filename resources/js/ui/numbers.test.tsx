import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { afterEach, expect, it } from 'vitest';
import { takeSettings } from '../lib/settings';
import { DecimalInput } from './DecimalInput';
import { WholeInput } from './WholeInput';

afterEach(() => takeSettings({ locale: 'en-GB', currency: 'EUR', time_zone: 'UTC', languages: ['en'] }));

function Both() {
  const [decimal, setDecimal] = useState('1.5');
  const [whole, setWhole] = useState<number>();
  return (
    <>
      <DecimalInput aria-label="Cost" value={decimal} onChange={setDecimal} />
      <WholeInput aria-label="Days" value={whole} onChange={setWhole} />
      <output>{`${decimal}; ${whole ?? 'none'}`}</output>
    </>
  );
}

it('takes a number as it is written here, and shows it so again when the field is left', async () => {
  takeSettings({ locale: 'de-DE', currency: 'EUR', time_zone: 'UTC', languages: ['en'] });
  const user = userEvent.setup();
  render(<Both />);
  const field = screen.getByLabelText<HTMLInputElement>('Cost');
  expect(field.value).toBe('1,5');
  await user.clear(field);
  await user.type(field, '1.234,56');
  expect(field.value).toBe('1.234,56');
  await user.tab();
  expect(field.value).toBe('1234,56');
  expect(screen.getByRole('status').textContent).toBe('1234.56; none');
});

it('takes digits only where a whole number is asked for, and none when it is emptied', async () => {
  const user = userEvent.setup();
  render(<Both />);
  await user.type(screen.getByLabelText('Days'), '1x2-');
  expect(screen.getByRole('status').textContent).toBe('1.5; 12');
  await user.clear(screen.getByLabelText('Days'));
  expect(screen.getByRole('status').textContent).toBe('1.5; none');
});
