import { screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../lib/api';
import { done as changed } from '../testing/done';
import { Refused, server } from '../testing/server';
import { choose, show } from '../testing/show';
import { FormTemplateForm } from './FormTemplateForm';

const template: Schemas['TemplateRow'] = {
  id: 1,
  name: 'Field check',
  reasons: ['defect'],
  offered: true,
  file_name: 'field-check.docx',
  controls: [
    { tag: 'title', kind: 'text', title: 'Title' },
    { tag: 'stock', kind: 'check', title: 'Spares' },
    { tag: 'stock_by', kind: 'date', title: 'Answer wanted by' },
    { tag: 'photo', kind: 'picture', title: 'Photo' },
  ],
  mapping: [
    { tag: 'title', label: 'Title', fill: 'title', use: 'field', field: 'title' },
    { tag: 'stock', label: 'Spares', fill: null, use: 'nothing' },
    { tag: 'photo', label: 'Photo', fill: null, use: 'nothing' },
  ],
  version: 4,
};
const PATCH = 'PATCH /api/form-templates/1';

async function form(done = vi.fn()) {
  server.on('GET /api/people', [{ login: 'clara.fenn', name: 'Clara Fenn', roles: ['service'] }]);
  const user = await show(<FormTemplateForm template={template} onDone={done} />);
  return { user, done };
}

const options = async (user: Awaited<ReturnType<typeof form>>['user'], label: string) => {
  await user.click(screen.getByRole('combobox', { name: label }));
  const found = (await screen.findAllByRole('option')).map((one) => one.textContent.replace('·', ''));
  await user.keyboard('{Escape}');
  return found;
};

describe('what the tags of a template mean', () => {
  it('offers for each kind of place only what can be done with it', async () => {
    const { user } = await form();
    expect(await options(user, 'title: when it comes back')).toHaveLength(5);
    expect(await options(user, 'stock: when it comes back')).toHaveLength(4);
    expect(await options(user, 'photo: when it comes back')).toHaveLength(2);
    expect(screen.getByRole<HTMLButtonElement>('combobox', { name: 'photo: filled with' }).disabled).toBe(true);
    expect(await options(user, 'title: field')).toHaveLength(6);
  });

  it('turns a box into a question: to whom, by when, in which words', async () => {
    const { user, done } = await form();
    server.on(PATCH, changed('1'));
    await user.click(screen.getByRole('combobox', { name: 'stock: when it comes back' }));
    const question = (await screen.findAllByRole('option')).find((one) => /question/i.test(one.textContent));
    await user.click(question ?? document.body);
    const row = screen.getByText('stock').closest('tr') ?? document.body;
    await user.type(within(row).getByLabelText('Question'), 'What shall become of them?');
    await choose(user, 'Function', 'Service');
    await choose(user, 'To', 'Clara Fenn');
    await user.type(within(row).getByLabelText('Days until it is due'), '7');
    await choose(user, 'Or by the day in', 'stock_by');
    await user.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(done).toHaveBeenCalledOnce());
    const body = server.asked(PATCH)[0]?.body as Schemas['TemplateRule'];
    expect(body.version).toBe(4);
    expect(body.mapping[1]).toMatchObject({
      tag: 'stock',
      use: 'question',
      text: 'What shall become of them?',
      function: 'service',
      to: 'clara.fenn',
      days: 7,
      due_tag: 'stock_by',
    });
  });

  it('makes a task of a box: what, for whom, until when', async () => {
    const { user, done } = await form();
    server.on(PATCH, changed('1')).on('GET /api/groups', [
      {
        code: 'purchasing',
        name: 'Purchasing',
        retired: false,
        version: 1,
        members: ['petra'],
        names: ['Petra Quist'],
      },
    ]);
    await choose(user, 'stock: when it comes back', 'Makes a task');
    const row = screen.getByText('stock').closest('tr') ?? document.body;
    await user.type(within(row).getByLabelText('What is to be done'), 'Count what is left');
    await choose(user, 'Kind of work', 'Purchasing');
    await choose(user, 'For', 'Purchasing (group of 1)');
    await user.type(within(row).getByLabelText('Days until it is due'), '7');
    await user.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(done).toHaveBeenCalledOnce());
    expect((server.asked(PATCH)[0]?.body as Schemas['TemplateRule']).mapping[1]).toMatchObject({
      tag: 'stock',
      use: 'task',
      text: 'Count what is left',
      kind: 'purchasing',
      to: 'group:purchasing',
      days: 7,
    });
  });

  it('says at each tag what is wrong with it', async () => {
    const { user, done } = await form();
    server.on(
      PATCH,
      new Refused(422, 'No.', {
        'mapping.0.fill': ['What is corrected in a form has to be filled with the same field.'],
        name: ['There is a template named Field check already.'],
      }),
    );
    await user.click(screen.getByRole('button', { name: 'Save' }));
    const fault = await screen.findByText(/has to be filled with the same field/);
    expect(fault.closest('tr')?.textContent).toContain('title');
    expect(screen.getByLabelText('Name').getAttribute('aria-invalid')).toBe('true');
    expect(screen.queryByRole('alert')).toBeNull();
    expect(done).not.toHaveBeenCalled();
  });

  it('is not overwritten when somebody else was quicker', async () => {
    const { user, done } = await form();
    server.on(PATCH, new Refused(409, 'Field check was changed by somebody else since you opened it.'));
    await user.type(screen.getByLabelText('Name'), ' 2');
    await user.click(screen.getByRole('button', { name: 'Save' }));
    expect((await screen.findByRole('alert')).textContent).toContain('changed by somebody else');
    expect(screen.getByLabelText<HTMLInputElement>('Name').value).toBe('Field check 2');
    expect(done).not.toHaveBeenCalled();
  });

  it('takes another file, and says why when it cannot be one', async () => {
    const { user } = await form();
    server.on('POST /api/form-templates/1/file', new Refused(422, 'The template needs a text control tagged "form".'));
    await user.upload(screen.getByLabelText(/Another file in place of field-check\.docx/), new File(['…'], 'new.docx'));
    expect(await screen.findByText(/needs a text control tagged "form"/)).toBeTruthy();
  });

  it('is offered for some reasons, or for all', async () => {
    const { user } = await form();
    server.on(PATCH, changed('1'));
    const reasons = screen.getByRole('group', { name: /Offer for these reasons/ });
    expect(
      within(reasons)
        .getAllByRole<HTMLInputElement>('checkbox')
        .filter((box) => box.checked),
    ).toHaveLength(1);
    await user.click(within(reasons).getByRole('checkbox', { checked: true }));
    await user.click(screen.getByRole('checkbox', { name: 'Offered' }));
    await user.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(server.asked(PATCH)[0]?.body).toMatchObject({ reasons: [], offered: false }));
  });
});
