import { fireEvent, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import { plusDays, today } from '../lib/format';
import { change, line } from '../testing/make';
import { TimeRuler } from './TimeRuler';

const now = today();

function ruler(day = now) {
  const onChange = vi.fn();
  render(
    <TimeRuler
      day={day}
      onChange={onChange}
      revisions={[
        {
          code: 'F',
          status: 'in_force',
          first_day: plusDays(now, -40),
          last_day: null,
          released_at: null,
          released_by: null,
          order: null,
          reason: '',
        },
      ]}
      lines={[line(50, '200-0040', { last_day: plusDays(now, 19) }), line(60, '600-0012')]}
      planned={[change('ECO-00090', 'Thicker tube', { effective_on: plusDays(now, 60) })]}
    />,
  );
  return { user: userEvent.setup(), onChange };
}

const marks = () => [...document.querySelectorAll('[title]')].map((mark) => mark.getAttribute('title')?.split(': ')[1]);

describe('the ruler of days', () => {
  it('marks where a revision takes effect, a line has ended and an order is to take effect', () => {
    ruler();
    expect(marks().sort()).toEqual(['ECO-00090 is to take effect', 'line 50 has ended', 'revision F takes effect']);
    expect(screen.getByText(/, today/)).toBeTruthy();
  });

  it('jumps from mark to mark, the day after a line was last used', async () => {
    const { user, onChange } = ruler();
    await user.click(screen.getByRole('button', { name: 'Later mark →' }));
    expect(onChange).toHaveBeenLastCalledWith(plusDays(now, 20));
    await user.click(screen.getByRole('button', { name: '← Earlier mark' }));
    expect(onChange).toHaveBeenLastCalledWith(plusDays(now, -40));
  });

  it('stays where there is no mark beyond', async () => {
    const { user, onChange } = ruler(plusDays(now, 100));
    await user.click(screen.getByRole('button', { name: 'Later mark →' }));
    expect(onChange).not.toHaveBeenCalled();
    await user.click(screen.getByRole('button', { name: 'Today' }));
    expect(onChange).toHaveBeenCalledWith(now);
  });

  it('follows keys at once and asks for the day when it rests', async () => {
    const { onChange } = ruler();
    // One after another without a rest between them, however busy the machine is.
    for (let times = 0; times < 3; times++) fireEvent.keyDown(screen.getByRole('slider'), { key: 'ArrowRight' });
    await waitFor(() => expect(onChange).toHaveBeenCalled());
    expect(onChange.mock.calls).toEqual([[plusDays(now, 3)]]);
  });

  it('says what happens on the day that is shown', () => {
    ruler(plusDays(now, 60));
    expect(screen.getByText(/ECO-00090 is to take effect/)).toBeTruthy();
  });
});
