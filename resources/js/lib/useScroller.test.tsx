import { fireEvent, render, screen } from '@testing-library/react';
import { expect, it } from 'vitest';
import { useInSight, useScroller } from './useScroller';

const HIGH = 30;

function List({ count }: { count: number }) {
  const scroller = useScroller(HIGH);
  const { attach } = scroller;
  const [first, end] = useInSight(scroller, count);
  return count === 0 ? <p>Nothing.</p> : <div ref={attach} role="list" aria-label={`${first} to ${end}`} />;
}

it('draws all that is in sight and little more, and takes rows away many at a time', () => {
  render(<List count={1000} />);
  const list = screen.getByRole('list');
  const SEEN = 20;
  Object.defineProperty(list, 'clientHeight', { value: SEEN * HIGH });
  let [first, end] = [0, 0];
  let cuts = 0;
  const walk = (rows: number) => {
    for (let at = rows > 0 ? 0 : 980; at >= 0 && at <= 980; at += rows) {
      list.scrollTop = at * HIGH;
      fireEvent.scroll(list);
      const [from = -1, to = -1] = (list.getAttribute('aria-label') ?? '').split(' to ').map(Number);
      expect(from).toBeLessThanOrEqual(Math.max(0, at - 4));
      expect(to).toBeGreaterThanOrEqual(Math.min(1000, at + SEEN + 4));
      expect(to - from).toBeLessThan(SEEN + 24 + 20);
      cuts += rows > 0 ? Number(from > first) : Number(to < end);
      [first, end] = [from, to];
    }
  };
  walk(3);
  walk(-3);
  // Two times a thousand rows, 24 and more at a time.
  expect(cuts).toBeGreaterThan(50);
  expect(cuts).toBeLessThan(82);
});

it('draws what is in sight, also of a list that was empty for a while', () => {
  const { rerender } = render(<List count={1000} />);
  const scroll = (row: number) => {
    const list = screen.getByRole('list');
    list.scrollTop = row * HIGH;
    fireEvent.scroll(list);
    return list.getAttribute('aria-label');
  };
  expect(scroll(600)).toMatch(/^596 to 6/);
  rerender(<List count={0} />);
  rerender(<List count={1000} />);
  expect(scroll(300)).toMatch(/^296 to 3/);
});
