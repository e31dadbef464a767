import { render, screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { Notice, ProblemNotice } from './Notice';

const problem = (errors: Record<string, string[]>, message = 'It was refused.') => ({ message, errors });

describe('a notice', () => {
  it('is read out at once when it is an alarm, and in its turn otherwise', () => {
    render(
      <>
        <Notice look="alarm">Refused</Notice>
        <Notice>Older</Notice>
        <Notice look="good">Done</Notice>
      </>,
    );
    expect(screen.getByRole('alert').textContent).toBe('▲Refused');
    expect(screen.getAllByRole('status').map((one) => one.textContent)).toEqual(['△Older', '■Done']);
  });
});

describe('the reason of a refusal', () => {
  it('is nothing while nothing was refused, and nothing when all of it stands at fields', () => {
    const { container, rerender } = render(<ProblemNotice problem={null} />);
    expect(container.textContent).toBe('');
    rerender(<ProblemNotice problem={problem({ title: ['Give it a title.'] })} shown={['title']} />);
    expect(container.textContent).toBe('');
  });

  it('tells what stands at no field, every reason of it', () => {
    render(
      <ProblemNotice
        problem={problem({ title: ['Give it a title.'], 'items.3': ['No such item.', 'It stands twice.'] })}
        shown={['title']}
      />,
    );
    expect(screen.getByRole('alert').textContent).toBe('▲No such item.It stands twice.');
  });

  it('is the message where there is no reason by place', () => {
    render(<ProblemNotice problem={problem({}, 'The server cannot be reached.')} shown={['title']} />);
    expect(screen.getByRole('alert').textContent).toContain('The server cannot be reached.');
  });
});
