import { screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { done } from '../testing/done';
import { head, item, onOrder, order } from '../testing/make';
import { Refused, server } from '../testing/server';
import { choose, show } from '../testing/show';
import { OrderItems } from './OrderItems';

const GIVE = 'POST /api/orders/ECO-00090/items/200-0010/new-number';
const given = {
  item: '200-0010',
  title: 'Pump head',
  kind: 'Assembly',
  successor: '200-0088',
  successor_title: 'Pump head, quiet',
  interchangeable: false,
  order: 'ECO-00090',
};
const document = (number: string, kind: string) => ({
  item: item(number, `${kind} of the head`, { kind }),
  shows: 'A',
  older: false,
  adopted_by: null,
  sheet: null,
});

async function open(state: 'planning' | 'revising' = 'revising', numbers: object[] = []) {
  server
    .on('GET /api/favourites', [])
    .on('GET /api/orders/ECO-00090/new-numbers', numbers)
    .on('GET /api/items/200-0010/documents', {
      number: '200-0010',
      files: [],
      documents: [document('800-0010', 'Drawing'), document('820-0001', 'Document')],
      describes: [],
    });
  return show(<OrderItems order={order({ state, items: [onOrder(head)] })} editable />);
}

describe('a new number for an item of an order', () => {
  it('takes along what is wanted: a drawing is copied, a document describes both', async () => {
    const user = await open();
    await choose(user, 'Outcome of 200-0010', 'New number …');
    await screen.findByText(/Drawing of the head/);
    const title = screen.getByLabelText('Title of the new number');
    await user.clear(title);
    await user.type(title, 'Pump head, quiet');
    await user.click(screen.getByRole('checkbox', { name: /Cost, lead time/ }));
    await user.click(screen.getByRole('button', { name: 'Give a new number' }));
    expect(await screen.findByText(/Say whether either can be used/)).toBeTruthy();
    expect(server.asked(GIVE)).toHaveLength(0);
    await choose(user, 'Interchangeable', 'No: the new one only where it is called for');
    server.on(GIVE, done('ECO-00090'));
    await user.click(screen.getByRole('button', { name: 'Give a new number' }));
    await waitFor(() =>
      expect(server.asked(GIVE)[0]?.body).toEqual({
        title: 'Pump head, quiet',
        interchangeable: false,
        lines: true,
        data: false,
        documents: [
          { number: '800-0010', copied: true },
          { number: '820-0001', copied: false },
        ],
        version: 4,
      }),
    );
    await waitFor(() => expect(screen.queryByRole('form')).toBeNull());
  });

  it('leaves a document behind where that is said, and tells at its place what is refused', async () => {
    const user = await open();
    await choose(user, 'Outcome of 200-0010', 'New number …');
    await screen.findByText(/Drawing of the head/);
    await choose(user, 'What becomes of 800-0010', 'Leave behind');
    await choose(user, 'Interchangeable', 'Yes: either where the other is called for');
    server.on(GIVE, new Refused(422, 'No.', { title: ['Give the new number a title.'] }));
    await user.click(screen.getByRole('button', { name: 'Give a new number' }));
    expect(await screen.findByText('Give the new number a title.')).toBeTruthy();
    expect(server.asked(GIVE)[0]?.body).toMatchObject({
      interchangeable: true,
      documents: [{ number: '820-0001', copied: false }],
    });
  });

  it('leads to its occurrences, and is taken back', async () => {
    const user = await open('revising', [given]);
    const link = await screen.findByRole('link', { name: 'Put it where 200-0010 is used' });
    expect(link.getAttribute('href')).toBe('/orders/ECO-00090/replace?old=200-0010&new=200-0088');
    const back = 'DELETE /api/orders/ECO-00090/new-numbers/200-0088';
    server.on(back, done('ECO-00090'));
    await user.click(screen.getByRole('button', { name: 'Take back 200-0088' }));
    await waitFor(() => expect(server.asked(back)[0]?.body).toEqual({ version: 4 }));
  });

  it('has its occurrences replaced only once the order is open', async () => {
    await open('planning', [given]);
    expect((await screen.findByText(/not interchangeable/)).textContent).toContain('succeeds');
    expect(screen.queryByRole('link', { name: /Put it where/ })).toBeNull();
  });
});
