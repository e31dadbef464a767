import { render, screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { Field } from './Field';
import { Input } from './Input';
import { ProblemNotice } from './Notice';

describe('a field', () => {
  it('is named by its label and described by its hint', () => {
    render(
      <Field label="Serial numbers" hint="As written on the unit">
        <Input />
      </Field>,
    );
    const input = screen.getByLabelText('Serial numbers');
    expect(input.getAttribute('aria-invalid')).toBe('false');
    expect(document.getElementById(input.getAttribute('aria-describedby') ?? '')?.textContent).toBe(
      'As written on the unit',
    );
  });

  it('says what is wrong with it in place of the hint', () => {
    render(
      <Field label="Quantity" hint="In metres" error="Write a quantity.">
        <Input />
      </Field>,
    );
    const input = screen.getByLabelText('Quantity');
    expect(input.getAttribute('aria-invalid')).toBe('true');
    expect(document.getElementById(input.getAttribute('aria-describedby') ?? '')?.textContent).toContain(
      'Write a quantity.',
    );
    expect(screen.queryByText('In metres')).toBeNull();
  });
});

describe('a refusal', () => {
  const problem = { message: 'Two things are wrong.', errors: { title: ['Say what.'], items: ['Name an item.'] } };

  it('tells only what stands at no field', () => {
    render(<ProblemNotice problem={problem} shown={['title']} />);
    expect(screen.getByRole('alert').textContent).toContain('Name an item.');
    expect(screen.queryByText('Say what.')).toBeNull();
  });

  it('says nothing when every reason stands at its field, and its message when it has no places', () => {
    render(<ProblemNotice problem={problem} shown={['title', 'items']} />);
    expect(screen.queryByRole('alert')).toBeNull();
    render(<ProblemNotice problem={{ message: 'The server cannot be reached.', errors: {} }} />);
    expect(screen.getByRole('alert').textContent).toContain('The server cannot be reached.');
  });
});
