import { screen, waitFor } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { useQuery } from '@tanstack/react-query';
import { queries } from '../lib/queries';
import { server } from '../testing/server';
import { show } from '../testing/show';
import { AtWork } from './AtWork';

const AT = 'GET /api/orders/ECO-00090/at-work';
const other = { by: 'Edda Roth', item: '200-0010', work: 'manufacturing:Weir', at: new Date().toISOString() };

/** A page that shows something of the order. */
function Shown() {
  const numbers = useQuery(queries.newNumbers('ECO-00090'));
  return <p>{numbers.data?.length ?? 'none'} shown</p>;
}

describe('others at work', () => {
  it('are told with where they are, and with their order where it is another', async () => {
    server.on('GET /api/favourites', []).on(AT, {
      state: '1',
      others: [
        { ...other, order: 'ECO-00090' },
        { ...other, by: 'Samir Bello', order: 'ECO-00086', work: 'engineering' },
      ],
    });
    await show(<AtWork order="ECO-00090" />);
    await screen.findByText('Edda Roth');
    expect(screen.getAllByRole('listitem').map((one) => one.textContent)).toEqual([
      '◆ Edda Roth edits 200-0010, Manufacturing, Weir, just now',
      '◆ Samir Bello edits 200-0010, Engineering under ECO-00086, just now',
    ]);
  });

  it('bring what they did onto the page, without anybody reloading it', async () => {
    vi.useFakeTimers({ shouldAdvanceTime: true });
    let state = '1';
    server
      .on('GET /api/favourites', [])
      .on('GET /api/orders/ECO-00090/new-numbers', [])
      .on(AT, () => ({ state, others: [] }));
    await show(
      <>
        <Shown />
        <AtWork order="ECO-00090" />
      </>,
    );
    await screen.findByText('0 shown');
    const read = () => server.asked('GET /api/orders/ECO-00090/new-numbers').length;
    await vi.advanceTimersByTimeAsync(4_100);
    expect(read()).toBe(1);
    state = '2';
    await vi.advanceTimersByTimeAsync(4_100);
    await waitFor(() => expect(read()).toBe(2));
    vi.useRealTimers();
  });
});
