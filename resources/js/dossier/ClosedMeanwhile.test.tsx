import { useQuery } from '@tanstack/react-query';
import { screen, waitFor } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../lib/api';
import { queries } from '../lib/queries';
import { dossier, onOrder, order, tube } from '../testing/make';
import { server } from '../testing/server';
import { show } from '../testing/show';

function State() {
  const { data } = useQuery(queries.dossier('ECR-00096'));
  return <p>{data?.order?.state ?? 'not there yet'}</p>;
}

const at = (state: Schemas['OrderData']['state']) =>
  dossier('follow_through', { order: order({ items: [onOrder(tube)], state }) });
const asked = () => server.asked('GET /api/dossiers/ECR-00096').length;

describe('an open dossier', () => {
  it('learns that a worker has closed the order, and then is left alone', async () => {
    vi.useFakeTimers({ shouldAdvanceTime: true });
    server.on('GET /api/favourites', []).on('GET /api/dossiers/ECR-00096', at('released'));
    await show(<State />);
    await screen.findByText('released');
    server.on('GET /api/dossiers/ECR-00096', at('closed'));
    await vi.advanceTimersByTimeAsync(5_100);
    await screen.findByText('closed');
    const reads = asked();
    await vi.advanceTimersByTimeAsync(20_000);
    await waitFor(() => expect(asked()).toBe(reads));
    vi.useRealTimers();
  });

  it('is not looked at again and again while people work on it', async () => {
    vi.useFakeTimers({ shouldAdvanceTime: true });
    server.on('GET /api/favourites', []).on('GET /api/dossiers/ECR-00096', at('revising'));
    await show(<State />);
    await screen.findByText('revising');
    await vi.advanceTimersByTimeAsync(20_000);
    expect(asked()).toBe(1);
    vi.useRealTimers();
  });
});
