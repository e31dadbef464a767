import { screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schemas } from '../../lib/api';
import { line } from '../../testing/make';
import { noConsequences } from '../../testing/noConsequences';
import { Refused, server } from '../../testing/server';
import { choose, mira, show } from '../../testing/show';
import { ModelPage } from './ModelPage';

const MODEL = 'POST /api/orders/ECO-00090/model';
const row = (component: string, more: Partial<Schemas['ModelRow']> = {}): Schemas['ModelRow'] => ({
  key: component,
  parent: '200-0010',
  mark: 'changed',
  component,
  title: '',
  before: line(20, component),
  pieces: 3,
  why: '',
  waits_for: [],
  unwanted: false,
  ...more,
});
const outcome = (more: Partial<Schemas['ModelOutcome']> = {}): Schemas['ModelOutcome'] => ({
  done: false,
  may_take: true,
  rows: [
    row('200-0042'),
    row('600-0014', { why: 'It stands on several lines: say on the page which of them changes.' }),
    row('SPRING_7', { mark: 'added', before: null, waits_for: ['SPRING_7'] }),
  ],
  items: [{ name: 'SPRING_7', title: 'Spring, flat', kind: 'part' }],
  numbered: [],
  known: 1,
  stroke: null,
  ...more,
});

async function bring(first: Schemas['ModelOutcome'] | Refused) {
  server
    .on('GET /api/favourites', [])
    .on('GET /api/categories', [{ code: 'pump', name: 'Pump' }])
    .on('GET /api/exposure', { items: [], strangers: [] })
    .on('GET /api/orders/ECO-00090/accountability', [])
    .on('GET /api/orders/ECO-00090/consequences', noConsequences)
    .on(MODEL, first);
  const user = await show(<ModelPage />, {
    at: '/orders/ECO-00090/model',
    path: '/orders/:number/model',
    as: mira,
  });
  await user.upload(screen.getByLabelText(/^File/), new File(['ISO-10303-21;'], 'head.stp'));
  return user;
}
const sent = (at: number) => String(server.asked(MODEL)[at]?.body);

describe('a design model under an order', () => {
  it('is looked at first; what stands on several lines is left to a person', async () => {
    await bring(outcome());
    const told = within(await screen.findByRole('grid', { name: 'What the model says otherwise' }));
    expect(told.getByRole<HTMLInputElement>('checkbox', { name: /600-0014/ }).disabled).toBe(true);
    expect(told.getByText(/It stands on several lines/)).toBeTruthy();
    expect(told.getByRole<HTMLInputElement>('checkbox', { name: /SPRING_7/ }).disabled).toBe(true);
    expect(screen.getByRole('button', { name: 'Take over 1 difference' })).toBeTruthy();
    expect(sent(0)).toContain('name="keep"\r\n\r\nno');
  });

  it('gives numbers by the category that is chosen, and takes over what was not left out, to be undone', async () => {
    const user = await bring(outcome());
    await screen.findByRole('grid', { name: 'Without a number' });
    await choose(user, 'Category of SPRING_7', 'Pump');
    await user.click(screen.getByRole('checkbox', { name: /Take over 200-0042/ }));
    server.on(MODEL, outcome({ done: true, rows: [], items: [], numbered: ['200-0088'], stroke: 'stroke-1' }));
    await user.click(screen.getByRole('button', { name: 'Take over 1 difference' }));
    expect(await screen.findByRole('link', { name: '200-0088' })).toBeTruthy();
    expect(sent(1)).toContain('["SPRING_7"]');
    expect(sent(1)).toContain('{"SPRING_7":"pump"}');
    const undo = 'POST /api/orders/ECO-00090/strokes/stroke-1/undo';
    server.on(undo, { number: 'ECO-00090', version: 5 }).on(MODEL, outcome());
    await user.click(screen.getByRole('button', { name: 'Undo' }));
    await waitFor(() => expect(server.asked(undo)).toHaveLength(1));
    expect(await screen.findByRole('grid', { name: 'What the model says otherwise' })).toBeTruthy();
  });

  it('hides what somebody decided is not wanted, and lets it be wanted after all', async () => {
    const added = { mark: 'added', before: null } as const;
    const user = await bring(
      outcome({ items: [], rows: [row('ENVELOPE', { ...added, unwanted: true }), row('600-0015', added)] }),
    );
    const told = within(await screen.findByRole('grid', { name: 'What the model says otherwise' }));
    expect(told.queryByText('ENVELOPE')).toBeNull();
    expect(screen.getByRole('button', { name: 'Take over 1 difference' })).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Show 1 not wanted' }));
    expect(told.getByRole<HTMLInputElement>('checkbox', { name: /ENVELOPE/ }).disabled).toBe(true);
    const turn = 'POST /api/orders/ECO-00090/model/unwanted';
    server.on(turn, { number: 'ECO-00090', version: 5 });
    await user.click(screen.getByRole('button', { name: 'ENVELOPE is wanted in 200-0010' }));
    await user.click(screen.getByRole('button', { name: '600-0015 is not wanted in 200-0010' }));
    await waitFor(() =>
      expect(server.asked(turn).map(({ body }) => body)).toEqual([
        { assembly: '200-0010', component: 'ENVELOPE', unwanted: false },
        { assembly: '200-0010', component: '600-0015', unwanted: true },
      ]),
    );
    // The model is looked at again each time.
    await waitFor(() => expect(server.asked(MODEL)).toHaveLength(3));
  });

  it('tells why a file cannot be read, and offers nothing', async () => {
    await bring(new Refused(422, 'No.', { file: ['The file is cut short.'] }));
    expect(await screen.findByText(/The file is cut short/)).toBeTruthy();
    expect(screen.queryByRole('button', { name: /Take over/ })).toBeNull();
  });

  it('is only read by who neither edits nor plans the order', async () => {
    await bring(outcome({ may_take: false }));
    expect(await screen.findByText(/Who edits or plans the order/)).toBeTruthy();
    expect(screen.queryByRole('button', { name: /Take over/ })).toBeNull();
    expect(screen.queryByRole('grid', { name: 'Without a number' })).toBeNull();
  });
});
