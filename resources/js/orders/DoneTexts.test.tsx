import { screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { done } from '../testing/done';
import { item, onOrder, order } from '../testing/make';
import { Refused, server } from '../testing/server';
import { show } from '../testing/show';
import { DoneTexts } from './DoneTexts';

const PUT = 'PUT /api/orders/ECO-00090/done';
const one = (said: Record<string, string> = {}) =>
  order({
    title: 'Thicker tube',
    items: [
      onOrder(item('200-0010', 'Pump head'), { done: said }),
      onOrder(item('200-0040', 'Tube'), { outcome: 'keep' }),
    ],
  });
const field = (language: string) => screen.getByRole('textbox', { name: `What is done to 200-0010, ${language}` });

describe('what sheets tell was done', () => {
  it('is said of each item that changes, in the languages of the documents', async () => {
    server.on(PUT, done('ECO-00090', 4));
    const user = await show(<DoneTexts order={one({ de: 'Schlauch dicker' })} editable />);
    expect(field('German')).toHaveProperty('value', 'Schlauch dicker');
    expect(screen.queryByText('200-0040')).toBeNull();
    expect(screen.queryByRole('button', { name: 'Save texts' })).toBeNull();
    await user.type(field('English'), 'Tube of 2.4 mm');
    await user.click(screen.getByRole('button', { name: 'Save texts' }));
    await waitFor(() =>
      expect(server.asked(PUT)[0]?.body).toMatchObject({
        texts: [{ item: '200-0010', language: 'en', text: 'Tube of 2.4 mm' }],
      }),
    );
    await waitFor(() => expect(screen.queryByRole('button', { name: 'Save texts' })).toBeNull());
  });

  it('says beside a text what is wrong with it, and keeps what was typed', async () => {
    server.on(PUT, new Refused(422, 'No.', { 'texts.0.text': ['At most 200 characters.'] }));
    const user = await show(<DoneTexts order={one()} editable />);
    await user.type(field('English'), 'Long');
    await user.click(screen.getByRole('button', { name: 'Save texts' }));
    expect(await screen.findByText(/At most 200 characters/)).toBeTruthy();
    expect(field('English')).toHaveProperty('value', 'Long');
  });

  it('is read where nobody edits it, if something is said', async () => {
    await show(<DoneTexts order={one({ en: 'Tube of 2.4 mm' })} editable={false} />);
    expect(screen.getByText('Tube of 2.4 mm')).toBeTruthy();
    expect(screen.queryByRole('textbox')).toBeNull();
  });

  it('is not there where nothing is said and nobody may', async () => {
    await show(<DoneTexts order={one()} editable={false} />);
    expect(screen.queryByText('What sheets tell was done')).toBeNull();
  });
});
