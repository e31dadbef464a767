import { screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../lib/api';
import { done } from '../testing/done';
import { question, request, tube } from '../testing/make';
import { Refused, server } from '../testing/server';
import { choose, mira, show, vera } from '../testing/show';
import { Questions } from './Questions';

type Question = Schemas['QuestionRow'];

const standing = (by: string[], word: Schemas['StandingOfFunction']['standing']) => ({
  function: 'purchasing' as const,
  standing: word,
  by,
});

function asked(questions: Question[], grid: Schemas['AssessmentPage']['grid'] = []) {
  server.on('GET /api/requests/ECR-00096/questions', { grid, questions });
  server.on('GET /api/people', [
    { login: 'nils.aarden', name: 'Nils Aarden', roles: ['quality'] },
    { login: 'petra.quist', name: 'Petra Quist', roles: ['buyer'] },
  ]);
}

describe('questions to specialists', () => {
  it('stand in a grid by item and function, told by a word and not by colour alone', async () => {
    asked([], [{ item: tube, functions: [standing(['Petra Quist'], 'overdue')] }]);
    await show(<Questions request={request()} />);
    const cell = await screen.findByText(/overdue/);
    expect(cell.textContent).toContain('Petra Quist');
    expect(within(screen.getByRole('grid')).getAllByRole('gridcell')[0]?.textContent).toContain('200-0040');
  });

  it('tell what was answered, with its costs, and that there is no effect', async () => {
    asked([
      question(1, {
        state: 'answered',
        answer: 'From March.',
        one_time: '1200.00',
        recurring: '-0.35',
        answered_by: 'Petra Quist',
        answered_at: '2026-11-24T10:00:00+00:00',
      }),
      question(2, { state: 'no_effect', answered_by: 'Nils Aarden', answered_at: '2026-11-24T10:00:00+00:00' }),
    ]);
    await show(<Questions request={request()} />);
    const [first, second] = await screen.findAllByRole('listitem');
    expect(first?.textContent).toContain('From March. One time 1\u2009200.00. Recurring −0.35 a unit.');
    expect(second?.textContent).toContain('No effect.');
  });

  it('are asked by the coordinator, about one or more items, of a person or a group', async () => {
    asked([]);
    const user = await show(<Questions request={request()} />);
    await user.click(await screen.findByRole('button', { name: 'Ask a question' }));
    await user.click(screen.getByRole('checkbox', { name: /200-0010/ }));
    await choose(user, 'Function', 'Quality');
    await choose(user, 'To', 'Nils Aarden');
    await choose(user, 'What', 'Is a certificate affected?');
    expect(screen.getByLabelText<HTMLTextAreaElement>('Question').value).toBe('Is a certificate affected?');
    server.on('POST /api/requests/ECR-00096/questions', new Refused(422, 'No.', { due_on: ['Choose a day.'] }));
    await user.click(screen.getByRole('button', { name: 'Ask' }));
    expect(await screen.findByText(/Choose a day/)).toBeTruthy();
    server.on('POST /api/requests/ECR-00096/questions', done('ECR-00096'));
    await user.type(screen.getByLabelText('Due'), '2026-12-01');
    await user.click(screen.getByRole('button', { name: 'Ask' }));
    await waitFor(() => expect(screen.queryByRole('form', { name: 'Ask a question' })).toBeNull());
    expect(server.asked('POST /api/requests/ECR-00096/questions')[1]?.body).toEqual({
      items: ['200-0040', '200-0010'],
      topic: 'certificate',
      function: 'quality',
      to: 'nils.aarden',
      text: 'Is a certificate affected?',
      due_on: '2026-12-01',
    });
  });

  it('keep a question that was written when another topic is chosen', async () => {
    asked([]);
    const user = await show(<Questions request={request()} />);
    await user.click(await screen.findByRole('button', { name: 'Ask a question' }));
    await user.clear(screen.getByLabelText('Question'));
    await user.type(screen.getByLabelText('Question'), 'My own words');
    await choose(user, 'What', 'Is a certificate affected?');
    expect(screen.getByLabelText<HTMLTextAreaElement>('Question').value).toBe('My own words');
  });

  it('are answered by whom they are put to, and nobody else', async () => {
    asked([question(1, { mine: true }), question(2)]);
    const user = await show(<Questions request={request()} />, { as: vera });
    expect((await screen.findAllByRole('form')).length).toBe(1);
    const append = vi.spyOn(FormData.prototype, 'append');
    server.on('POST /api/questions/1/answer', done('ECR-00096'));
    await user.type(screen.getByLabelText('Your answer'), 'From March.');
    await user.type(screen.getByLabelText('One-time cost, EUR'), '1200');
    await user.click(screen.getByRole('button', { name: 'Answer' }));
    await waitFor(() => expect(server.asked('POST /api/questions/1/answer').length).toBe(1));
    expect(append.mock.calls).toEqual([
      ['answer', 'From March.'],
      ['one_time', '1200'],
      ['recurring', ''],
      ['no_effect', '0'],
      ['seen', '0'],
    ]);
    append.mockRestore();
  });

  it('keep an answer that is half written', async () => {
    localStorage.setItem(
      'vera.stone:draft:question 1',
      JSON.stringify({ base: '0', value: { answer: 'Half an answer' } }),
    );
    asked([question(1, { mine: true })]);
    await show(<Questions request={request()} />, { as: vera });
    expect((await screen.findByLabelText<HTMLTextAreaElement>('Your answer')).value).toBe('Half an answer');
  });

  it('are withdrawn as long as nobody answered', async () => {
    asked([question(1), question(2, { state: 'answered', item: '200-0010' })]);
    const user = await show(<Questions request={request()} />, { as: mira });
    server.on('DELETE /api/questions/1', done('ECR-00096'));
    await user.click(await screen.findByRole('button', { name: 'Withdraw the question about 200-0040' }));
    await waitFor(() => expect(server.asked('DELETE /api/questions/1').length).toBe(1));
    expect(screen.queryByRole('button', { name: 'Withdraw the question about 200-0010' })).toBeNull();
  });

  it('are closed with the request', async () => {
    asked([question(1, { mine: true })]);
    await show(<Questions request={request({ state: 'rejected' })} />);
    expect(await screen.findByText('From when can it be had?')).toBeTruthy();
    expect(screen.queryByRole('textbox')).toBeNull();
    expect(screen.queryByRole('button', { name: /answer|withdraw/i })).toBeNull();
  });

  it('are claimed by one of those who are asked, and handed on to who knows more', async () => {
    asked([question(1, { asked: 'Buyer', may: ['claim', 'hand_on'] }), question(2, { held_by: 'Petra Quist' })]);
    const user = await show(<Questions request={request()} />);
    const [first, second] = await screen.findAllByRole('listitem');
    expect(second?.textContent).toContain('Petra Quist has claimed it');
    expect(within(second as HTMLElement).queryByRole('button', { name: 'Claim' })).toBeNull();
    server.on('POST /api/questions/1/claim', new Refused(422, 'No.', { task: ['Somebody has claimed it already.'] }));
    await user.click(within(first as HTMLElement).getByRole('button', { name: 'Claim' }));
    expect((await screen.findByRole('alert')).textContent).toContain('Somebody has claimed it already.');
    await user.click(within(first as HTMLElement).getByRole('button', { name: 'Hand on' }));
    await choose(user, 'To', 'Nils Aarden, quality');
    await user.type(screen.getByLabelText('Reason'), 'He has the certificate.');
    server.on('POST /api/questions/1/hand-on', done('ECR-00096'));
    const form = screen.getByRole('form', { name: /Hand on the question/ });
    await user.click(within(form).getByRole('button', { name: 'Hand on' }));
    await waitFor(() => expect(screen.queryByRole('form', { name: /Hand on/ })).toBeNull());
    expect(server.asked('POST /api/questions/1/hand-on')[0]?.body).toEqual({
      text: 'He has the certificate.',
      to: 'nils.aarden',
    });
  });
});
