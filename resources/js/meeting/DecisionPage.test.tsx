import { screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../lib/api';
import { done } from '../testing/done';
import {
  change,
  dossier,
  head,
  item,
  money,
  onOrder,
  question,
  redline,
  redlineRow,
  report,
  request,
  tube,
} from '../testing/make';
import { server } from '../testing/server';
import { address, show, vera } from '../testing/show';
import { DecisionPage } from './DecisionPage';

const decided: Schemas['ReachRow'] = {
  subject: 'item 200-0042',
  reason: 'sibling',
  number: '200-0042',
  title: 'Tube clamp',
  why: 'Same assembly',
  level: 1,
  path: [],
  item: null,
  decision: { id: 1, taken: false, reason: 'It fits both tubes.', by: 'Mira Okafor', at: '2026-11-24T10:00:00+00:00' },
};
const row = (number: string): Schemas['MeetingRow'] => ({
  change: change(number, number),
  finding: '',
  waiting: 0,
  cut_in: null,
  decided_by: null,
  decided_at: null,
  decision_reason: '',
  path: null,
  judges: [],
});

interface Setting {
  of?: Partial<Schemas['RequestData']>;
  at?: string;
  as?: Schemas['Me'];
  chosen?: Schemas['CutInChosen'][];
  proposals?: Schemas['Proposal'][];
}

async function decision({ of = {}, at = '', as, chosen = [], proposals = [] }: Setting = {}) {
  server
    .on('GET /api/favourites', [])
    .on('GET /api/dossiers/ECR-00096', dossier('assess', { requests: [request(of)], proposals }))
    .on('GET /api/meeting', {
      awaiting: [row('ECR-00096'), row('ECR-00097'), row('ECR-00095')],
      decided: [],
      meetings: [],
    })
    .on('GET /api/requests/ECR-00096/reach', {
      on: '2026-11-25',
      counts: [
        { reason: 'affected', rows: 2 },
        { reason: 'parent', rows: 1240 },
      ],
      total: 1,
      decided: 1,
      from: 0,
      rows: [decided],
    })
    .on('GET /api/requests/ECR-00096/questions', {
      grid: [],
      questions: [
        question(1, { asked: 'Nils Aarden' }),
        question(2, { state: 'answered', answer: 'From March.', answered_by: 'Petra Quist' }),
        question(3, { state: 'no_effect', answered_by: 'Clara Fenn', text: 'Spares?' }),
        question(4, { state: 'withdrawn', text: 'Never mind.' }),
      ],
    })
    .on('GET /api/exposure', { items: [], strangers: [] })
    .on(
      'GET /api/requests/ECR-00096/money',
      money({
        one_time_total: '5586.00',
        yearly_total: '5499.20',
        by_item: [{ item: '200-0040', title: 'Pump tube', one_time: '5586.00', yearly: '5499.20' }],
        dispositions: [
          {
            item: '200-0040',
            kind: 'stock',
            quantity: '146.5',
            unit: 'm',
            value: '1435.70',
            disposition: 'scrap',
            per_unit: '9.80',
            cost: '1435.70',
            from: 'said',
            said: null,
          },
        ],
      }),
    )
    .on('GET /api/requests/ECR-00096/cut-ins', chosen);
  const user = await show(<DecisionPage />, {
    at: `/changes/ECR-00096/decision${at}`,
    path: '/changes/:number/decision',
    as,
  });
  await screen.findByRole('region', { name: 'Decision' });
  return user;
}

const part = (name: string) => within(screen.getByRole('region', { name }));

describe('the page for the decision', () => {
  it('says what is asked for, with the reports behind it', async () => {
    await decision({ of: { reports: [report('PR-00001', 'Torn at the rollers', { serial: 'H12-02417' })] } });
    expect(screen.getByText('Torn at the rollers.')).toBeTruthy();
    expect(screen.getByRole('link', { name: 'PR-00001' }).closest('li')?.textContent).toContain('H12-02417');
    const items = within(screen.getByRole('grid', { name: 'Affected items' }));
    expect([tube, head].map(({ number }) => items.getByRole('link', { name: number }))).toHaveLength(2);
  });

  it('shows the lines that it proposes before and after, with what a product costs more', async () => {
    server
      .on('GET /api/orders/ECR-00096/accountability', [])
      .on('GET /api/orders/ECR-00096/data', [])
      .on('GET /api/orders/ECR-00096/review', {
        order: { number: 'ECR-00096' },
        redlines: [
          redline({ rows: [redlineRow(60, item('200-0042', 'Tube clamp'), { mark: 'removed', after: null })] }),
        ],
        consequences: {
          products: [{ product: '100-0012', title: 'Heron 12', difference: '15.30' }],
          built: [],
          currency: 'EUR',
        },
      });
    await decision({
      proposals: [
        { request: 'ECR-00096', may_propose: false, names_more: false, items: [onOrder(head)], left_out: [] },
      ],
    });
    expect(await part('Proposed lines').findByText('100-0012 +15.30 EUR')).toBeTruthy();
    expect(part('200-0010 before and after').getByRole('row', { name: /200-0042/ }).textContent).toContain('removed');
  });

  it('counts what it reaches, and tells what was decided of it on record', async () => {
    await decision();
    const reach = part('Reach');
    await waitFor(() => expect(reach.getByText('1 240')).toBeTruthy());
    expect(reach.getByText(/It fits both tubes/).closest('li')?.textContent).toContain('✕ out');
    expect(server.asked('GET /api/requests/ECR-00096/reach')[0]?.query.decided).toBe('1');
  });

  it('tells what specialists said, and who has not; what was withdrawn is not told', async () => {
    await decision();
    const answers = part('Specialist answers');
    expect((await answers.findByText(/has not answered, due 28 Nov 2026/)).textContent).toContain('Nils Aarden');
    expect(answers.getByText('From March.').closest('li')?.textContent).toContain('Petra Quist');
    expect(answers.getByText(/No effect/).closest('li')?.textContent).toContain('Clara Fenn');
    expect(answers.queryByText(/Never mind/)).toBeNull();
  });

  it('adds up the money, with the disposition of what exists', async () => {
    await decision();
    const sums = part('Dispositions and cost');
    expect(await sums.findByText('5 586.00 EUR')).toBeTruthy();
    expect(sums.getByText(/Stock, 146.5 m: Scrap, 1\s435.70/)).toBeTruthy();
    expect(sums.getByRole('link', { name: 'All rows and assumptions' }).getAttribute('href')).toBe(
      '/changes/ECR-00096/money',
    );
  });

  it('names the day that was chosen last, or that none is', async () => {
    await decision();
    expect(part('Day to cut in').getByText('No cut-in day chosen yet.')).toBeTruthy();
  });

  it('names the day with its reason', async () => {
    await decision({
      chosen: [
        {
          id: 3,
          to_do: [],
          at_plants: [],
          fault: '',
          best_on: null,
          outcomes: [],
          chosen_on: '2027-04-14',
          reason: 'The gauge is there by then.',
          by: 'Mira Okafor',
          at: '2026-11-24T10:00:00+00:00',
          total: '115.00',
          asked: null,
        },
      ],
    });
    expect((await part('Day to cut in').findByText(/The gauge is there by then/)).textContent).toContain('14 Apr 2027');
  });

  it('is printed', async () => {
    const print = vi.spyOn(window, 'print').mockImplementation(() => undefined);
    const user = await decision();
    await user.click(screen.getByRole('button', { name: 'Print' }));
    expect(print).toHaveBeenCalledOnce();
  });

  it('is decided with a reason, and stays where it is', async () => {
    const user = await decision();
    server.on('POST /api/requests/ECR-00096/decision', done('ECR-00096'));
    await user.type(screen.getByLabelText('Reason for the decision'), 'Rivers stay silty.');
    await user.click(screen.getByRole('button', { name: 'Approve' }));
    await waitFor(() =>
      expect(server.asked('POST /api/requests/ECR-00096/decision')[0]?.body).toEqual({
        decision: 'approved',
        reason: 'Rivers stay silty.',
        version: 3,
      }),
    );
    expect(address()).toBe('/changes/ECR-00096/decision');
  });

  it('goes on to the next one in the meeting', async () => {
    const user = await decision({ at: '?meeting' });
    expect((await screen.findByRole('link', { name: 'Meeting, 2 more' })).getAttribute('href')).toBe('/meeting');
    server.on('POST /api/requests/ECR-00096/decision', done('ECR-00096'));
    await user.type(screen.getByLabelText('Reason for the decision'), 'Too dear.');
    await user.click(screen.getByRole('button', { name: 'Reject' }));
    await waitFor(() => expect(address()).toBe('/changes/ECR-00097/decision?meeting'));
  });

  it('only tells the decision once there is one', async () => {
    await decision({
      of: {
        state: 'ordered',
        decided_by: 'Helen Marsh',
        decided_at: '2026-11-25T10:00:00+00:00',
        decision_reason: 'Rivers stay silty.',
      },
    });
    expect(part('Decision').getByText(/Rivers stay silty/).textContent).toMatch(/^approved by Helen Marsh/i);
    expect(screen.queryByRole('button', { name: 'Approve' })).toBeNull();
  });

  it('is read by who does not decide', async () => {
    await decision({ as: vera });
    expect(part('Decision').getByText('A coordinator assesses this request.')).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Approve' })).toBeNull();
  });

  it('says when the dossier has no such request', async () => {
    server.on('GET /api/dossiers/ECR-00099', dossier('assess'));
    await show(<DecisionPage />, { at: '/changes/ECR-00099/decision', path: '/changes/:number/decision' });
    expect(await screen.findByText('There is no request ECR-00099.')).toBeTruthy();
  });
});
