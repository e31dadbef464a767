import { screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schemas } from '../lib/api';
import { done } from '../testing/done';
import { item, order } from '../testing/make';
import { Refused, server } from '../testing/server';
import { show } from '../testing/show';
import { Belongings } from './Belongings';

const POST = 'POST /api/orders/ECO-00087/belongings';
const row = (number: string, more: Partial<Schemas['BelongingRow']> = {}): Schemas['BelongingRow'] => ({
  item: '200-0010',
  kind: 'document',
  other: item(number, 'Drawing'),
  state: 'open',
  fault: 'shows revision F, not G, which comes.',
  reason: '',
  by: null,
  ...more,
});

async function belongings(rows: Schemas['BelongingRow'][], editable = true) {
  server.on('GET /api/orders/ECO-00087/belongings', rows).on(POST, done('ECO-00087', 5));
  return show(<Belongings order={order({ number: 'ECO-00087', version: 4 })} editable={editable} />);
}
const bodies = () =>
  server.asked(POST).map(({ body }) => body as { becomes: string; reason?: string; rows: { number: string }[] });

describe('what belongs together', () => {
  it('is not spoken of where nothing is found', async () => {
    await belongings([]);
    await waitFor(() => expect(server.asked('GET /api/orders/ECO-00087/belongings').length).toBe(1));
    expect(screen.queryByText('What belongs together')).toBeNull();
  });

  it('offers for each what can become of it, and sends it as it was on screen', async () => {
    const user = await belongings([
      row('800-0011'),
      row('900-0001', { kind: 'operation', fault: 'is named by operation Tarn 20, and is not released.' }),
      row('200-0020', { kind: 'line', fault: 'stays at revision A in line 10, and B comes.' }),
      row('800-0012', { state: 'along', fault: '' }),
      row('800-0013', { state: 'left', reason: 'Outline only.', by: 'Mira Okafor' }),
    ]);
    expect(await screen.findByText('3 open')).toBeTruthy();
    const acts = (number: string) =>
      within(screen.getByText(number).closest('tr') as HTMLElement)
        .queryAllByRole('button')
        .map((one) => one.textContent);
    expect(acts('800-0011')).toEqual(['Take along', 'Adopt', 'Leave …']);
    expect(acts('900-0001')).toEqual(['Take along', 'Leave …']);
    expect(acts('200-0020')).toEqual(['Leave …']);
    expect(acts('800-0012')).toEqual([]);
    expect(acts('800-0013')).toEqual(['Take back']);
    expect(screen.getByText('Left as it is: Outline only. (Mira Okafor)')).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Adopt 800-0011' }));
    await waitFor(() =>
      expect(bodies()[0]).toEqual({
        rows: [
          { item: '200-0010', kind: 'document', number: '800-0011', fault: 'shows revision F, not G, which comes.' },
        ],
        becomes: 'adopts',
        version: 4,
      }),
    );
  });

  it('leaves many with one reason, and says at its place that one is missing', async () => {
    const user = await belongings([row('800-0011'), row('800-0012')]);
    for (const box of await screen.findAllByRole('checkbox', { name: /800-001/ })) await user.click(box);
    expect(screen.getByRole('button', { name: 'Take along 2' })).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Leave 2' }));
    server.on(POST, new Refused(422, 'No.', { reason: ['Give the reason.'] }));
    await user.click(screen.getByRole('button', { name: 'Leave as it is' }));
    expect(await screen.findByText('Give the reason.')).toBeTruthy();
    server.on(POST, done('ECO-00087', 5));
    await user.type(screen.getByRole('textbox'), 'Outline only.');
    await user.click(screen.getByRole('button', { name: 'Leave as it is' }));
    await waitFor(() => expect(bodies()[1]?.reason).toBe('Outline only.'));
    expect(bodies()[1]?.rows.map(({ number }) => number)).toEqual(['800-0011', '800-0012']);
  });

  it('shows all of it, and offers nothing, to whoever only reads', async () => {
    await belongings([row('800-0011')], false);
    await screen.findByText('1 open');
    expect(screen.queryByRole('button', { name: /800-0011/ })).toBeNull();
  });
});
