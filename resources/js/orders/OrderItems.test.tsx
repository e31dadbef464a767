import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schemas } from '../lib/api';
import { done } from '../testing/done';
import { head, item, onOrder as on, order as anOrder, tube } from '../testing/make';
import { Refused, server } from '../testing/server';
import { choose, show } from '../testing/show';
import { OrderItems } from './OrderItems';

const order = (items: Schemas['OrderItemData'][]) => anOrder({ items });
const PUT = 'PUT /api/orders/ECO-00090/items/200-0040';

describe('the items of an order', () => {
  it('tell what each becomes', async () => {
    await show(<OrderItems order={order([on(tube), on(head, { outcome: 'keep', becomes: null })])} editable={false} />);
    const [, first, second] = screen.getAllByRole('row');
    expect(first?.textContent).toContain('New revisionA → Bnot decided');
    expect(second?.textContent).toContain('No change');
    expect(screen.queryByRole('combobox')).toBeNull();
  });

  it('are decided on at once, with the version that was seen', async () => {
    const user = await show(<OrderItems order={order([on(tube)])} editable />);
    server.on(PUT, done('ECO-00090'));
    await choose(user, 'Existing stock of 200-0040', 'Use up');
    await waitFor(() =>
      expect(server.asked(PUT)[0]?.body).toEqual({ outcome: 'revise', disposition: 'use_up', version: 4 }),
    );
    await choose(user, 'Outcome of 200-0040', 'No change');
    await waitFor(() => expect(server.asked(PUT)[1]?.body).toMatchObject({ outcome: 'keep' }));
  });

  it('have no stock to decide on where nothing was ever released', async () => {
    await show(
      <OrderItems order={order([on(item('200-0099', 'New clamp'), { base: null, becomes: 'A' })])} editable />,
    );
    expect(screen.getByText('none yet')).toBeTruthy();
    expect(screen.getByText('first release', { exact: false })).toBeTruthy();
    expect(screen.queryByRole('combobox', { name: /Existing stock/ })).toBeNull();
  });

  it('say which other order revises one of them too', async () => {
    const shared = item('200-0010', 'Pump head', { being_revised_by: ['ECO-00086', 'ECO-00090'] });
    await show(<OrderItems order={order([on(shared)])} editable={false} />);
    expect(screen.getByText(/being revised, ECO-00086/).textContent).not.toContain('ECO-00090');
  });

  it('are named and taken off; a refusal is told', async () => {
    const user = await show(<OrderItems order={order([on(tube)])} editable />);
    server
      .on('GET /api/items', [head])
      .on('PUT /api/orders/ECO-00090/items/200-0010', new Refused(422, 'No.', { item: ['It is a document.'] }));
    await user.type(screen.getByRole('combobox', { name: 'Add an affected item' }), 'head');
    await user.click(await screen.findByRole('option'));
    expect((await screen.findByRole('alert')).textContent).toContain('It is a document.');
    server.on('DELETE /api/orders/ECO-00090/items/200-0040', done('ECO-00090'));
    await user.click(screen.getByRole('button', { name: 'Remove 200-0040' }));
    await waitFor(() =>
      expect(server.asked('DELETE /api/orders/ECO-00090/items/200-0040')[0]?.body).toEqual({ version: 4 }),
    );
  });

  it('are dragged there by their numbers, from whatever page', async () => {
    await show(<OrderItems order={order([on(tube)])} editable />);
    server.on('POST /api/orders/ECO-00090/items', done('ECO-00090'));
    const origin = window.location.origin;
    const dragged = (links: string[]) => ({
      dataTransfer: { types: ['text/uri-list'], getData: () => links.join('\r\n') },
    });
    const table = screen.getByRole('grid', { name: 'Items on the order' });
    fireEvent.dragOver(table, dragged([]));
    expect(screen.getByText('Drop to add it to the order')).toBeTruthy();
    fireEvent.drop(table, dragged([`${origin}/items/200-0010`, `${origin}/items/A%2FB`, `${origin}/items/200-0010`]));
    await waitFor(() =>
      expect(server.asked('POST /api/orders/ECO-00090/items').map(({ body }) => body)).toEqual([
        { items: ['200-0010', 'A/B'], version: 4 },
      ]),
    );
    // Other pages are no items.
    fireEvent.drop(table, dragged([`${origin}/changes/ECO-00087`, 'https://quillback.example/items/200-0010', 'tube']));
    expect(server.asked('POST /api/orders/ECO-00090/items')).toHaveLength(1);
  });

  it('are found by words and added one by one', async () => {
    const user = await show(<OrderItems order={order([on(tube)])} editable />);
    server.on('GET /api/items', [head]).on('POST /api/orders/ECO-00090/items', done('ECO-00090'));
    await user.click(screen.getByText('Add several items'));
    await user.type(screen.getByLabelText('Number or title'), 'head');
    await user.click(await screen.findByRole('button', { name: 'Add 200-0010' }));
    await waitFor(() =>
      expect(server.asked('POST /api/orders/ECO-00090/items')[0]?.body).toEqual({ items: ['200-0010'], version: 4 }),
    );
  });

  it('are decided on and removed many at once', async () => {
    const user = await show(<OrderItems order={order([on(tube), on(head)])} editable />);
    server
      .on('POST /api/orders/ECO-00090/items', done('ECO-00090'))
      .on('DELETE /api/orders/ECO-00090/items', done('ECO-00090'));
    await user.click(screen.getByRole('checkbox', { name: 'Select all 2' }));
    await choose(user, 'Existing stock of all selected', 'Scrap');
    await waitFor(() =>
      expect(server.asked('POST /api/orders/ECO-00090/items')[0]?.body).toEqual({
        items: ['200-0040', '200-0010'],
        disposition: 'scrap',
        version: 4,
      }),
    );
    await user.click(screen.getByRole('button', { name: 'Remove 2' }));
    await waitFor(() =>
      expect(server.asked('DELETE /api/orders/ECO-00090/items')[0]?.body).toMatchObject({
        items: ['200-0040', '200-0010'],
      }),
    );
  });

  it('are pasted as a list, and what is wrong in it is told; nothing of it is dropped', async () => {
    const user = await show(<OrderItems order={order([on(tube)])} editable />);
    await user.click(screen.getByText('Add several items'));
    const list = screen.getByLabelText<HTMLTextAreaElement>('Item numbers');
    await user.click(list);
    await user.paste('200-0010\n200-0420, 200-0010');
    server.on(
      'POST /api/orders/ECO-00090/items',
      new Refused(422, 'No.', { 'items.1': ['There is no item 200-0420. Is it 200-0042?'] }),
    );
    await user.click(screen.getByRole('button', { name: 'Add 2 items' }));
    expect(await screen.findByText(/Is it 200-0042/)).toBeTruthy();
    expect(list.value).toContain('200-0420');
    server.on('POST /api/orders/ECO-00090/items', done('ECO-00090'));
    await user.click(screen.getByRole('button', { name: 'Add 2 items' }));
    await waitFor(() => expect(list.value).toBe(''));
    expect(server.asked('POST /api/orders/ECO-00090/items')[1]?.body).toEqual({
      items: ['200-0010', '200-0420'],
      version: 4,
    });
  });

  it('are pulled in by how they stand to one', async () => {
    const user = await show(<OrderItems order={order([on(tube)])} editable />);
    server
      .on('GET /api/items', [tube])
      .on('GET /api/orders/ECO-00090/pulled-items', [
        { item: head, named: false },
        { item: tube, named: true },
      ])
      .on('POST /api/orders/ECO-00090/items', done('ECO-00090'));
    await user.click(screen.getByText('Add several items'));
    await user.type(screen.getByRole('combobox', { name: 'Item to pull in from' }), 'tube');
    await user.click(await screen.findByRole('option'));
    expect(await screen.findByText(/of which 1 are on the order already/)).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Add 1 item' }));
    await waitFor(() =>
      expect(server.asked('POST /api/orders/ECO-00090/items')[0]?.body).toMatchObject({ items: ['200-0010'] }),
    );
  });
});
