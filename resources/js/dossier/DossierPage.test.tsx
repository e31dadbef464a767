import { screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schemas } from '../lib/api';
import { done } from '../testing/done';
import { change, dossier, head, ledgerRow, onOrder, onePath, order, report, request, tube } from '../testing/make';
import { noConsequences } from '../testing/noConsequences';
import { Refused, server } from '../testing/server';
import { address, choose, mira, show, vera } from '../testing/show';
import { DossierPage } from './DossierPage';

const coordinator: Schemas['Me'] = {
  ...mira,
  abilities: [...mira.abilities, 'raise_order', 'submit_order', 'release_order', 'close_order', 'send_handover'],
};
const neither = { waived: false, waivable: '' };
const met: Schemas['CheckRow'] = { name: 'Somebody signs', met: true, reason: '', place: 'order', ...neither };
const unmet: Schemas['CheckRow'] = {
  name: 'A day is set',
  met: false,
  reason: 'Say from when.',
  place: 'order',
  ...neither,
};

async function open(of: Schemas['Dossier'], as = coordinator) {
  server
    .on('GET /api/favourites', [])
    .on('GET /api/people', [])
    .on('GET /api/exposure', { items: [], strangers: [] })
    .on('GET /api/requests/ECR-00096/questions', { grid: [], questions: [] })
    .on('GET /api/changes', [])
    .on('GET /api/orders/ECO-00090/consequences', noConsequences)
    .on('GET /api/dossiers/ECR-00096', of);
  const user = await show(<DossierPage />, { at: '/changes/ECR-00096', path: '/changes/:number', as });
  await screen.findByRole('navigation', { name: 'Steps' });
  return user;
}

const step = (name: string) => screen.getByRole('region', { name: new RegExp(name) });
/** The order that the dossier has come to, at one of its steps. */
const ordered = (at: Parameters<typeof dossier>[0], more: Partial<Schemas['OrderData']> = {}) =>
  dossier(at, {
    requests: [request({ state: 'ordered', orders: ['ECO-00090'] })],
    order: order({
      items: [onOrder(tube, { changes: 2 }), onOrder(head, { outcome: 'keep' })],
      editor: 'mira.okafor',
      editor_name: 'Mira Okafor',
      signer: 'mira.okafor',
      signer_name: 'Mira Okafor',
      effective_on: '2027-04-14',
      ...more,
    }),
  });

describe('a dossier', () => {
  it('says at once how much others have done since one looked', async () => {
    server.on('POST /api/changes/ECR-00096/look', {
      since: '2026-11-26T09:00:00+00:00',
      total: 2,
      acts: [],
      names: {},
    });
    await open(dossier('assess'));
    expect((await screen.findByRole('link', { name: '2 new since you looked' })).getAttribute('href')).toBe('#new');
    expect(screen.getByText(/2 acts by others/)).toBeTruthy();
  });

  it('has the eight steps in order, each with its state said in words', async () => {
    await open(dossier('assess'));
    const steps = within(screen.getByRole('navigation', { name: 'Steps' })).getAllByRole('link');
    expect(steps.map((one) => one.textContent)).toEqual([
      '■1 Take in, done',
      '▶2 Assess, now',
      '□3 Order, ahead',
      '□4 Revise, ahead',
      '□5 Check and sign, ahead',
      '□6 Release, ahead',
      '□7 Follow through, ahead',
      '□8 Look back, ahead',
    ]);
    expect(steps[1]?.getAttribute('aria-current')).toBe('step');
  });

  it('says at each step what is missing, and keeps quiet what lies ahead', async () => {
    const of = dossier('assess');
    const [, assess] = of.steps;
    if (assess) assess.missing = ['Record a finding.', 'Two questions are not answered.'];
    await open(of);
    const missing = within(step('Assess')).getByRole('list', { name: 'To do' });
    expect(
      within(missing)
        .getAllByRole('listitem')
        .map((one) => one.textContent),
    ).toEqual(['△Record a finding.', '△Two questions are not answered.']);
    expect(within(step('Release')).queryByText('On release')).toBeNull();
  });

  it('is remembered as opened of late', async () => {
    await open(dossier('take_in'));
    expect(JSON.stringify(localStorage)).toContain('ECR-00096 Pump tube wears out early in silty rivers');
  });

  it('says when there is none of that number', async () => {
    server
      .on('GET /api/favourites', [])
      .on('GET /api/dossiers/ECR-09999', new Refused(404, 'There is no such change.'));
    await show(<DossierPage />, { at: '/changes/ECR-09999', path: '/changes/:number' });
    expect((await screen.findByRole('alert')).textContent).toContain('There is no such change.');
  });
});

describe('what was taken in', () => {
  it('leads to the reports it answers and the requests it came from', async () => {
    await open(
      dossier('assess', {
        requests: [
          request({
            reports: [report('PR-00001', 'Tube torn at the rollers')],
            gathered: [change('ECR-00091', 'Tube wears out')],
            split_from: 'ECR-00080',
            split_off: ['ECR-00098'],
          }),
        ],
      }),
    );
    const takeIn = within(step('Take in'));
    const links = ['PR-00001', 'ECR-00091', 'ECR-00080', 'ECR-00098'].map((number) =>
      takeIn.getAllByRole('link', { name: number })[0]?.getAttribute('href'),
    );
    expect(links).toEqual(['/reports/PR-00001', '/changes/ECR-00091', '/changes/ECR-00080', '/changes/ECR-00098']);
    expect(takeIn.getByText('Torn at the rollers.')).toBeTruthy();
  });

  it('says into what it was gathered', async () => {
    await open(dossier('take_in', { requests: [request({ state: 'gathered', gathered_into: 'ECR-00099' })] }));
    expect(within(step('Take in')).getByText(/which carries all it says/).textContent).toContain('ECR-00099');
  });

  it('is answered by who raised it when it was sent back, and by nobody else', async () => {
    const back = dossier('take_in', { requests: [request({ state: 'returned', decision_reason: 'Which river?' })] });
    const user = await open(back, { ...vera, login: 'clara.fenn' });
    server.on('POST /api/requests/ECR-00096/answer', new Refused(422, 'No.', { answer: ['Say something.'] }));
    await user.click(screen.getByRole('button', { name: 'Send answer' }));
    expect(await screen.findByText(/Say something/)).toBeTruthy();
    server.on('POST /api/requests/ECR-00096/answer', done('ECR-00096'));
    await user.type(screen.getByLabelText('Your answer'), 'The Skell.');
    await user.click(screen.getByRole('button', { name: 'Send answer' }));
    await waitFor(() =>
      expect(server.asked('POST /api/requests/ECR-00096/answer')[1]?.body).toEqual({
        answer: 'The Skell.',
        version: 3,
      }),
    );
  });

  it('waits for who raised it', async () => {
    await open(dossier('take_in', { requests: [request({ state: 'returned' })] }));
    expect(screen.getByText('Clara Fenn answers what was asked.')).toBeTruthy();
    expect(screen.queryByLabelText('Your answer')).toBeNull();
  });

  it('is nothing when the order was raised directly', async () => {
    await open({ ...ordered('order'), requests: [] });
    expect(within(step('Take in')).getByText('The order was raised directly, without a request.')).toBeTruthy();
    expect(screen.queryByRole('navigation', { name: /^Assess/ })).toBeNull();
  });
});

describe('what is assessed', () => {
  it('has a page for each thing to be looked at, for each of several requests', async () => {
    await open(dossier('assess'));
    const pages = within(screen.getByRole('navigation', { name: 'Assess ECR-00096' })).getAllByRole('link');
    expect(pages.map((one) => one.getAttribute('href'))).toEqual(
      ['reach', 'money', 'cut-in', 'forms', 'decision'].map((page) => `/changes/ECR-00096/${page}`),
    );
  });

  it('keeps finding and decision in sight once it is decided', async () => {
    await open(
      dossier('order', {
        requests: [
          request({
            state: 'approved',
            finding: 'Feasible from April.',
            decision_reason: 'Rivers will not clear up.',
            decided_by: 'Helen Marsh',
            decided_at: '2026-11-25T10:00:00+00:00',
          }),
        ],
      }),
    );
    expect(within(step('Assess')).getByText('Feasible from April.')).toBeTruthy();
    expect(within(step('Assess')).getByText(/Rivers will not clear up/).textContent).toContain('Helen Marsh');
    expect(screen.queryByLabelText('Reason for the decision')).toBeNull();
  });
});

describe('the order', () => {
  it('comes out of an approved request, and opens', async () => {
    const user = await open(dossier('order', { requests: [request({ state: 'approved' })] }));
    server.on('POST /api/requests/ECR-00096/order', new Refused(422, 'It has an order already.'));
    await user.click(screen.getByRole('button', { name: 'Turn into an order' }));
    expect((await within(step('Order')).findByRole('alert')).textContent).toContain('It has an order already.');
    server
      .on('POST /api/requests/ECR-00096/order', done('ECO-00090'))
      .on('GET /api/dossiers/ECO-00090', ordered('order'));
    await user.click(screen.getByRole('button', { name: 'Turn into an order' }));
    await waitFor(() => expect(address()).toBe('/changes/ECO-00090'));
    expect(server.asked('POST /api/requests/ECR-00096/order')).toHaveLength(2);
  });

  it('is raised by a coordinator only', async () => {
    await open(dossier('order', { requests: [request({ state: 'approved' })] }), vera);
    expect(screen.getByText('A coordinator turns it into an order.')).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Turn into an order' })).toBeNull();
  });

  it('says what a request proposes that another proposes otherwise, and leads to where it is carried over', async () => {
    const proposal = { may_propose: false, names_more: false, items: [] };
    await open({
      ...ordered('revise', { state: 'revising' }),
      proposals: [
        { ...proposal, request: 'ECR-00096', left_out: [] },
        { ...proposal, request: 'ECR-00097', left_out: ['200-0010 engineering'] },
      ],
    });
    const link = screen.getByRole('link', { name: 'Carry them over, line by line' });
    expect(new URLSearchParams(link.getAttribute('href')?.split('?')[1]).get('to')).toBe(
      '200-0010 engineering>200-0010 engineering',
    );
    expect(screen.getAllByText(/a request before it did/)).toHaveLength(1);
  });

  it('opens for revision when all that is asked for is there', async () => {
    await open(ordered('order', { checks: [met, unmet] }));
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Open for revision' }).disabled).toBe(true);
  });

  it('is planned: a day, who edits and who signs; only what changed is sent', async () => {
    const user = await open(ordered('order', { checks: [met], effective_on: null }));
    const save = screen.getByRole<HTMLButtonElement>('button', { name: 'Save' });
    expect(save.disabled).toBe(true);
    await user.type(screen.getByLabelText('Effective from'), '2027-05-01');
    server.on('PATCH /api/orders/ECO-00090', new Refused(422, 'No.', { effective_on: ['The plant is closed then.'] }));
    await user.click(save);
    expect(await screen.findByText(/The plant is closed then/)).toBeTruthy();
    expect(server.asked('PATCH /api/orders/ECO-00090')[0]?.body).toEqual({ version: 4, effective_on: '2027-05-01' });
  });

  it('is called and about something else, when somebody says so', async () => {
    const user = await open(ordered('order', { title: 'Thicker tube', priority: 'normal' }));
    await user.click(screen.getByText('Title, priority and description'));
    await user.clear(screen.getByLabelText('Title'));
    await user.type(screen.getByLabelText('Title'), 'Much thicker tube');
    await choose(user, 'Priority', 'High');
    server.on('PATCH /api/orders/ECO-00090', done('ECO-00090'));
    await user.click(screen.getByRole('button', { name: 'Save' }));
    expect(server.asked('PATCH /api/orders/ECO-00090')[0]?.body).toEqual({
      version: 4,
      title: 'Much thicker tube',
      priority: 'high',
    });
  });

  it('is withdrawn with a reason, after a second thought', async () => {
    const user = await open(ordered('order'));
    await user.click(screen.getByRole('button', { name: 'Withdraw the order' }));
    await user.click(screen.getByRole('button', { name: 'Keep the order' }));
    await user.click(screen.getByRole('button', { name: 'Withdraw the order' }));
    server.on('POST /api/orders/ECO-00090/withdrawal', done('ECO-00090'));
    await user.type(screen.getByLabelText('Why it is withdrawn'), 'The supplier gave up.');
    await user.click(screen.getByRole('button', { name: 'Withdraw' }));
    await waitFor(() =>
      expect(server.asked('POST /api/orders/ECO-00090/withdrawal')[0]?.body).toEqual({
        reason: 'The supplier gave up.',
        version: 4,
      }),
    );
  });
});

describe('revising, signing and releasing', () => {
  const back: Schemas['SignatureRow'] = {
    person: 'Helen Marsh',
    meaning: 'sent_back',
    said: 'approved',
    for: null,
    reason: 'The grease is missing.',
    signed_at: '2026-11-25T10:00:00+00:00',
    void: false,
    digest: '0123456789abcdef',
  };

  it('names what is revised, why it came back, and which other order is at it', async () => {
    const of = ordered('revise', { state: 'revising', signatures: [back], checks: [met, unmet] });
    await open({
      ...of,
      collisions: [{ order: 'ECO-00086', title: 'Regulator', state: 'revising', items: ['200-0010'] }],
    });
    const revise = within(step('Revise'));
    expect(revise.getByText(/sent it back: The grease is missing/)).toBeTruthy();
    expect(revise.getByText(/Whichever is released second/).textContent).toContain('ECO-00086');
    expect(revise.getByText('2 lines differ')).toBeTruthy();
    expect(revise.getByRole('link', { name: 'Revise' }).getAttribute('href')).toBe('/orders/ECO-00090/revise/200-0040');
    expect(revise.getByRole<HTMLButtonElement>('button', { name: 'Send to review' }).disabled).toBe(true);
    expect(revise.getByRole('list', { name: 'Required for the next step' }).textContent).toContain('Say from when.');
  });

  it('goes to review with the version that was seen', async () => {
    const of = ordered('revise', { state: 'revising', checks: [met] });
    const user = await open(of);
    server.on('POST /api/orders/ECO-00090/review', done('ECO-00090'));
    await user.click(screen.getByRole('button', { name: 'Send to review' }));
    await waitFor(() => expect(server.asked('POST /api/orders/ECO-00090/review')[0]?.body).toEqual({ version: 4 }));
  });

  it('is looked at by who does not edit it', async () => {
    await open(ordered('revise', { state: 'revising', editor: 'edda.roth', editor_name: 'Edda Roth', may: [] }), vera);
    expect(screen.getByText('Edda Roth edits.')).toBeTruthy();
    expect(screen.getByRole('link', { name: 'Before and after' })).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Send to review' })).toBeNull();
  });

  it('tells who signed, and that a signature is void since it was sent back', async () => {
    await open(
      ordered('sign', {
        state: 'in_review',
        path: onePath({ signable: [0] }),
        signatures: [back, { ...back, meaning: 'signed', void: true, signed_at: '2026-11-24T10:00:00+00:00' }],
      }),
    );
    const signatures = within(screen.getByRole('list', { name: 'Signatures' })).getAllByRole('listitem');
    expect(signatures[0]?.textContent).toContain('sent back');
    expect(signatures[1]?.textContent).toContain('signed, void since it was sent back');
    expect(signatures[1]?.textContent).toContain('0123456789ab');
    expect(screen.getByRole('link', { name: 'Read and sign' }).getAttribute('href')).toBe('/orders/ECO-00090/review');
  });

  it('is released after a second thought only', async () => {
    const of = ordered('release', { state: 'signed', checks: [met] });
    const user = await open(of);
    const release = within(step('Release'));
    expect(release.getByText(/revision B is released/).textContent).toContain(
      'in force from 14 Apr 2027; A holds until then, 2 lines differ',
    );
    await user.click(release.getByRole('button', { name: 'Release' }));
    await user.click(release.getByRole('button', { name: 'Cancel' }));
    expect(server.asked('POST /api/orders/ECO-00090/release')).toEqual([]);
    await user.click(release.getByRole('button', { name: 'Release' }));
    server.on('POST /api/orders/ECO-00090/release', new Refused(422, 'A newer revision was released meanwhile.'));
    await user.click(release.getByRole('button', { name: 'Release (cannot be undone)' }));
    expect((await release.findByRole('alert')).textContent).toContain('released meanwhile');
  });

  it('is not released by who may not, nor while something is missing', async () => {
    await open(ordered('release', { state: 'signed', checks: [unmet], may: [] }), vera);
    expect(screen.getByText('A coordinator releases it.')).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Release' })).toBeNull();
  });

  it('is closed when planning has taken all of it', async () => {
    const handover: Schemas['HandoverRow'] = {
      name: 'ECO-00090_2027-04-14_000017',
      number: 17,
      state: 'partly_refused',
      written_at: '2026-11-25T10:00:00+00:00',
      answered_at: '2026-11-25T10:00:01+00:00',
      sending: false,
      tries: 1,
      last_error: '',
      introduced: [],
      entries: [],
    };
    const of = ordered('follow_through', { state: 'released', released_at: '2026-11-25T10:00:00+00:00' });
    const user = await open({ ...of, handovers: [handover] });
    expect(within(step('Release')).getByText(/Released on 25 Nov 2026/).textContent).toContain('200-0040 A → B');
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Close the order' }).disabled).toBe(true);
    server.on('GET /api/dossiers/ECR-00096', { ...of, handovers: [{ ...handover, state: 'taken' }] });
    server.on(`POST /api/handovers/${handover.name}/delivery`, done('ECO-00090'));
    await user.click(screen.getByRole('button', { name: 'Resend' }));
    await waitFor(() =>
      expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Close the order' }).disabled).toBe(false),
    );
    server.on('POST /api/orders/ECO-00090/closing', done('ECO-00090'));
    await user.click(screen.getByRole('button', { name: 'Close the order' }));
    await waitFor(() => expect(server.asked('POST /api/orders/ECO-00090/closing')[0]?.body).toEqual({ version: 4 }));
  });
});

describe('looking back', () => {
  it('tells every act, by whom and when, with what it was about', async () => {
    const of = dossier('look_back', { ledger: [ledgerRow(12, 'request.raised'), ledgerRow(13, 'finding.recorded')] });
    await open(of);
    const rows = within(step('Look back')).getAllByRole('row').slice(1);
    expect(rows.map((one) => one.textContent).join('|')).toContain('Mira Okafor');
    expect(rows).toHaveLength(2);
  });
});
