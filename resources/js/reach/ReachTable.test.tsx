import { screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schemas } from '../lib/api';
import { done } from '../testing/done';
import { head, item, tube } from '../testing/make';
import { Refused, server } from '../testing/server';
import { address, show, vera } from '../testing/show';
import { ReachTable } from './ReachTable';

type Row = Schemas['ReachRow'];

const row = (subject: string, reason: Row['reason'], of: Schemas['ItemRow'], more: Partial<Row> = {}): Row => ({
  subject,
  reason,
  number: of.number,
  title: of.title,
  why: 'Has it inside',
  level: 1,
  path: ['200-0040', of.number],
  item: of,
  decision: null,
  ...more,
});
const drawing = item('800-0011', 'Drawing, Pump head', { kind: 'drawing' });
const rows = [
  row('affected 1', 'affected', tube, { path: ['200-0040'], why: 'Named by the request', level: 0 }),
  row('document 800-0011', 'document', drawing, { why: 'Shows 200-0010, revision D' }),
  row('parent 2', 'parent', head),
];

function page(shown: Row[] = rows, more: Partial<Schemas['ReachPage']> = {}): Schemas['ReachPage'] {
  return {
    on: '2026-11-25',
    counts: [
      { reason: 'affected', rows: 1 },
      { reason: 'document', rows: 1 },
      { reason: 'parent', rows: 1 },
    ],
    total: shown.length,
    decided: 0,
    from: 0,
    rows: shown,
    ...more,
  };
}

async function table(as?: Schemas['Me']) {
  server.on('GET /api/requests/ECR-00096/reach', ({ query }) =>
    page(rows.filter((one) => query.reason === '' || one.reason === query.reason)),
  );
  const user = await show(<ReachTable number="ECR-00096" open />, { as });
  await screen.findByRole('grid', { name: 'Reach' });
  return user;
}

describe('all that a change touches', () => {
  it('tells each row with its reason and its path', async () => {
    await table();
    const [, , second, third] = screen.getAllByRole('row');
    expect(second?.textContent).toContain('Shows 200-0010, revision D');
    expect(third?.textContent).toContain('200-0040 › 200-0010');
  });

  it('offers no decision on what the request names itself, nor to who only reads', async () => {
    await table();
    expect(screen.getAllByRole('checkbox').map((box) => box.getAttribute('aria-label'))).toEqual([
      'Select 800-0011, Shows 200-0010, revision D',
      'Select 200-0010, Has it inside',
    ]);
  });

  it('offers nothing at all to who only reads', async () => {
    await table(vera);
    expect(screen.queryByRole('checkbox')).toBeNull();
  });

  it('narrows down to one reason, which stands in the address', async () => {
    const user = await table();
    await user.click(screen.getByRole('button', { name: 'Drawings and documents, 1' }));
    await waitFor(() => expect(screen.getAllByRole('row').length).toBe(2));
    expect(address()).toBe('/?reason=document');
    await user.click(screen.getByRole('button', { name: 'Everything' }));
    await waitFor(() => expect(address()).toBe('/'));
  });

  it('leaves several rows out together, with one reason', async () => {
    const user = await table();
    for (const box of screen.getAllByRole('checkbox')) await user.click(box);
    const form = screen.getByRole('region', { name: 'Decide on selected rows' });
    server.on('POST /api/requests/ECR-00096/reach', new Refused(422, 'No.', { reason: ['Say why it is left out.'] }));
    await user.click(within(form).getByRole('button', { name: 'Leave out' }));
    expect(await within(form).findByText(/Say why it is left out/)).toBeTruthy();
    server.on('POST /api/requests/ECR-00096/reach', done('ECR-00096'));
    await user.type(within(form).getByLabelText('Reason, for 2 rows'), 'They stay as they are.');
    await user.click(within(form).getByRole('button', { name: 'Leave out' }));
    await waitFor(() => expect(screen.queryByRole('region', { name: 'Decide on selected rows' })).toBeNull());
    expect(server.asked('POST /api/requests/ECR-00096/reach')[1]?.body).toEqual({
      subjects: ['document 800-0011', 'parent 2'],
      taken: false,
      reason: 'They stay as they are.',
      seen: [],
    });
  });

  it('takes a decision back', async () => {
    const user = await table();
    server.on('POST /api/requests/ECR-00096/reach', done('ECR-00096'));
    await user.click(screen.getByRole('checkbox', { name: /Select 200-0010/ }));
    await user.click(screen.getByRole('button', { name: 'Undo decision' }));
    await waitFor(() =>
      expect(server.asked('POST /api/requests/ECR-00096/reach')[0]?.body).toMatchObject({ taken: null }),
    );
  });

  it('reads on where there is more than one page', async () => {
    server.on('GET /api/requests/ECR-00096/reach', ({ query }) =>
      query.from === '0' ? page(rows.slice(0, 2), { total: 3 }) : page(rows.slice(2), { total: 3, from: 2 }),
    );
    const user = await show(<ReachTable number="ECR-00096" open />);
    await user.click(await screen.findByRole('button', { name: 'Show more' }));
    await waitFor(() => expect(screen.getAllByRole('row').length).toBe(4));
    expect(screen.queryByRole('button', { name: 'Show more' })).toBeNull();
  });

  it('tells who decided, and why', async () => {
    server.on(
      'GET /api/requests/ECR-00096/reach',
      page([
        row('document 800-0011', 'document', drawing, {
          decision: {
            id: 7,
            taken: false,
            reason: 'It stays true.',
            by: 'Mira Okafor',
            at: '2026-11-25T08:00:00+00:00',
          },
        }),
      ]),
    );
    await show(<ReachTable number="ECR-00096" open />);
    const decided = await screen.findByText(/✕ out/);
    expect(decided.textContent).toContain('Mira Okafor');
    expect(screen.getByText('It stays true.')).toBeTruthy();
  });
});
