import { screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schemas } from '../../lib/api';
import { done } from '../../testing/done';
import { line } from '../../testing/make';
import { noConsequences } from '../../testing/noConsequences';
import { Refused, server } from '../../testing/server';
import { address, show } from '../../testing/show';
import { TransferPage } from './TransferPage';

const AT = '/api/orders/ECO-00090/transfer';
const TO = '230-0001 engineering>230-0002 engineering';

function row(key: string, more: Partial<Schemas['TransferRow']> = {}): Schemas['TransferRow'] {
  return {
    key,
    source: '230-0001 engineering',
    target: '230-0002 engineering',
    mark: 'replaced',
    before: line(30, '230-0020', { quantity: '2.8', unit: 'm' }),
    after: line(30, '230-0021', { quantity: '2.8', unit: 'm' }),
    there: line(30, '230-0020', { quantity: '2.8', unit: 'm' }),
    does: 'component 230-0021',
    fit: 'fits',
    reason: '',
    ...more,
  };
}

const page = (more: Partial<Schemas['TransferPage']> = {}): Schemas['TransferPage'] => ({
  order: 'ECO-00090',
  order_title: 'Gasket',
  into: 'ECO-00090',
  may_transfer: null,
  sources: [{ item: '230-0001', title: 'Case', work: 'engineering', changes: 3, siblings: ['230-0002 engineering'] }],
  rows: [],
  log: [],
  ...more,
});

async function open(shown: Schemas['TransferPage'] | Refused, to = '') {
  server
    .on('GET /api/favourites', [])
    .on(`GET ${AT}`, shown)
    .on('GET /api/orders/ECO-00090/consequences', noConsequences);
  return show(<TransferPage />, {
    at: `/orders/ECO-00090/transfer${to === '' ? '' : `?to=${encodeURIComponent(to)}`}`,
    path: '/orders/:number/transfer',
  });
}

describe('carrying over to siblings', () => {
  it('offers those alike, and keeps the choice in the address', async () => {
    const user = await open(page());
    await user.click(await screen.findByRole('button', { name: '+ 230-0002' }));
    await waitFor(() => expect(decodeURIComponent(address()).replaceAll('+', ' ')).toContain(`to=${TO}`));
    expect(await screen.findByRole('button', { name: 'Remove 230-0002 engineering' })).toBeTruthy();
  });

  it('carries nothing over before each row that does not simply fit is decided', async () => {
    const user = await open(
      page({
        rows: [
          row('a'),
          row('b', { fit: 'differs', reason: 'Quantity 3.2 in place of 2.8.' }),
          row('c', { fit: 'none', reason: 'It has no 230-0060.', there: null, does: '' }),
        ],
      }),
      TO,
    );
    expect(
      (await screen.findByRole<HTMLButtonElement>('button', { name: 'Carry over: 1 still to decide' })).disabled,
    ).toBe(true);
    const [, , differs, none] = screen.getAllByRole('row');
    expect(within(none ?? document.body).queryByRole('radio')).toBeNull();
    await user.click(within(differs ?? document.body).getByRole('radio', { name: 'Yes' }));
    server.on(`POST ${AT}`, { ...done('ECO-00090'), stroke: 'stroke-1' });
    await user.click(screen.getByRole('button', { name: 'Carry over 2 edits' }));
    expect(await screen.findByText(/2 edits carried over into ECO-00090/)).toBeTruthy();
    expect(server.asked(`POST ${AT}`)[0]?.body).toEqual({
      into: 'ECO-00090',
      to: TO,
      decisions: [
        { row: 'a', taken: true },
        { row: 'b', taken: true },
      ],
    });
    server.on('POST /api/orders/ECO-00090/strokes/stroke-1/undo', done('ECO-00090'));
    await user.click(screen.getByRole('button', { name: 'Undo' }));
    await waitFor(() => expect(screen.queryByText(/carried over into/)).toBeNull());
  });

  it('carries over chosen rows alone, or leaves them out, many at once', async () => {
    const user = await open(
      page({
        rows: [
          row('a'),
          row('b', { fit: 'differs', reason: 'Other quantity.' }),
          row('c'),
          row('d', { fit: 'already' }),
        ],
      }),
      TO,
    );
    const edits = within(await screen.findByRole('grid', { name: 'Edits in the siblings' }));
    const boxes = () => edits.getAllByRole('checkbox');
    // The first of all selects every row; then row by row.
    await user.click(boxes()[2] as HTMLElement);
    await user.click(screen.getByRole('button', { name: 'Carry over only these' }));
    expect(screen.getByRole('button', { name: 'Carry over 1 edit' })).toBeTruthy();
    server.on(`POST ${AT}`, { ...done('ECO-00090'), stroke: 'stroke-1' });
    await user.click(screen.getByRole('button', { name: 'Carry over 1 edit' }));
    await waitFor(() =>
      expect((server.asked(`POST ${AT}`)[0]?.body as { decisions: unknown }).decisions).toEqual([
        { row: 'a', taken: false },
        { row: 'b', taken: true },
        { row: 'c', taken: false },
      ]),
    );
    await user.click(boxes()[0] as HTMLElement);
    await user.click(screen.getByRole('button', { name: 'Leave out' }));
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Carry over 0 edits' }).disabled).toBe(true);
  });

  it('has what was carried over before, on record', async () => {
    const user = await open(
      page({
        log: [
          {
            from: 'ECO-00090',
            into: 'ECO-00091',
            by: 'Mira Okafor',
            at: '2026-11-24T09:00:00+00:00',
            stroke: 's',
            rows: [
              {
                source: '230-0001 engineering',
                target: '230-0002 engineering',
                what: '230-0020 replaced by 230-0021',
                fit: 'differs',
                reason: 'Quantity 3.2 in place of 2.8.',
                taken: false,
              },
            ],
          },
        ],
      }),
    );
    await user.click(await screen.findByText('Carried over before: 1'));
    expect(screen.getByRole('row', { name: /230-0020 replaced by 230-0021/ }).textContent).toContain('no');
  });

  it('says what is no sibling, and lets one choose again', async () => {
    const user = await open(new Refused(422, 'No.', { to: ['230-0099 has no released structure.'] }), TO);
    expect(await screen.findByText('230-0099 has no released structure.')).toBeTruthy();
    server.on(`GET ${AT}`, page());
    await user.click(screen.getByRole('button', { name: 'Choose again' }));
    expect(await screen.findByRole('button', { name: '+ 230-0002' })).toBeTruthy();
  });

  it('has nothing to carry over where nothing is changed', async () => {
    await open(page({ sources: [] }));
    expect(await screen.findByText(/there is nothing to carry over/)).toBeTruthy();
  });
});
