import { fireEvent, render, screen } from '@testing-library/react';
import { expect, it } from 'vitest';
import { useInSight, useScroller } from './useScroller';

const HIGH = 30;

function List({ count }: { count: number }) {
  const scroller = useScroller(HIGH);
  const { attach } = scroller;
  const [first, end] = useInSight(scroller, count, HIGH);
  return count === 0 ? <p>Nothing.</p> : <div ref={attach} role="list" aria-label={`${first} to ${end}`} />;
}

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
