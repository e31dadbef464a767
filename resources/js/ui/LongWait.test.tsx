import { act, render, screen } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { LongWait } from './LongWait';

beforeEach(() => void vi.useFakeTimers());
afterEach(() => void vi.useRealTimers());

describe('a long wait', () => {
  it('says nothing of what is done in a moment', () => {
    const { container } = render(<LongWait doing="Planning is asked." onStop={vi.fn()} />);
    act(() => void vi.advanceTimersByTime(900));
    expect(container.textContent).toBe('');
  });

  it('says what is done and for how long; the seconds are not read out', () => {
    render(<LongWait doing="Planning is asked." onStop={vi.fn()} />);
    act(() => void vi.advanceTimersByTime(3_000));
    expect(screen.getByRole('status').textContent).toBe('Planning is asked.');
    expect(screen.getByText('3 s').getAttribute('aria-hidden')).toBe('true');
  });

  it('is stopped', () => {
    const stop = vi.fn();
    render(<LongWait doing="Planning is asked." onStop={stop} />);
    act(() => void vi.advanceTimersByTime(1_000));
    screen.getByRole('button', { name: 'Stop' }).click();
    expect(stop).toHaveBeenCalledOnce();
  });

  it('counts no more when it is gone', () => {
    const { unmount } = render(<LongWait doing="Planning is asked." onStop={vi.fn()} />);
    unmount();
    expect(vi.getTimerCount()).toBe(0);
  });
});
