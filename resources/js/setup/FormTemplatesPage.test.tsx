import { screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schemas } from '../lib/api';
import { done } from '../testing/done';
import { Refused, server } from '../testing/server';
import { mira, show, vera } from '../testing/show';
import { FormTemplatesPage } from './FormTemplatesPage';

const ivo: Schemas['Me'] = { ...mira, login: 'ivo.tanner', name: 'Ivo Tanner', abilities: ['set_up'] };
const template = (id: number, name: string, more: Partial<Schemas['TemplateRow']> = {}): Schemas['TemplateRow'] => ({
  id,
  name,
  reasons: [],
  offered: true,
  file_name: `${name.toLowerCase()}.docx`,
  controls: [
    { tag: 'title', kind: 'text', title: 'Title' },
    { tag: 'note', kind: 'text', title: 'Note' },
  ],
  mapping: [
    { tag: 'title', label: 'Title', fill: 'title', use: 'field', field: 'title' },
    { tag: 'note', label: 'Note', fill: null, use: 'nothing' },
  ],
  version: 1,
  ...more,
});
const ADD = 'POST /api/form-templates';

async function templates(rows: Schemas['TemplateRow'][], as = ivo) {
  server.on('GET /api/favourites', []).on('GET /api/people', []).on('GET /api/form-templates', rows);
  const user = await show(<FormTemplatesPage />, { as });
  await screen.findByRole('list');
  return user;
}

describe('templates of forms', () => {
  it('say for which requests they are, and how much of them is taken in', async () => {
    await templates([template(1, 'Check'), template(2, 'Enquiry', { reasons: ['defect', 'cost'], offered: false })]);
    const [check, enquiry] = screen.getAllByRole('listitem');
    expect(check?.textContent).toContain('for every reason; 2 places, 1 imported');
    expect(check?.textContent).not.toContain('not offered');
    expect(enquiry?.textContent).toContain('; not offered');
    expect(screen.getByRole('link', { name: 'check.docx' }).getAttribute('href')).toBe('/api/form-templates/1/file');
  });

  it('are changed in place by an administrator', async () => {
    const user = await templates([template(1, 'Check')]);
    await user.click(screen.getByRole('button', { name: 'Change Check' }));
    expect(await screen.findByRole('combobox', { name: 'title: when it comes back' })).toBeTruthy();
  });

  it('are read by everybody else', async () => {
    await templates([template(1, 'Check')], vera);
    expect(screen.queryByRole('button', { name: 'Change Check' })).toBeNull();
    expect(screen.queryByRole('form', { name: 'New template' })).toBeNull();
  });

  it('say that there is none yet, and offer a blank one to begin with', async () => {
    await templates([]);
    expect(screen.getByText('There is no template yet.')).toBeTruthy();
    expect(screen.getByRole('link', { name: /Download a blank form/ }).getAttribute('href')).toBe(
      '/api/form-templates/blank',
    );
  });

  it('are added as a document; what is wrong with it stands at its field, and what was added opens', async () => {
    const user = await templates([]);
    const add = screen.getByRole<HTMLButtonElement>('button', { name: 'Add' });
    expect(add.disabled).toBe(true);
    await user.type(screen.getByLabelText('Name'), 'Enquiry');
    await user.upload(screen.getByLabelText('Document'), new File(['…'], 'enquiry.docx'));
    server.on(ADD, new Refused(422, 'No.', { file: ['No control is tagged “form”.'] }));
    await user.click(add);
    expect(await screen.findByText(/No control is tagged/)).toBeTruthy();
    server.on(ADD, done('3', 1)).on('GET /api/form-templates', [template(3, 'Enquiry')]);
    await user.click(add);
    expect(await screen.findByRole('combobox', { name: 'note: when it comes back' })).toBeTruthy();
    expect(String(server.asked(ADD)[1]?.body)).toContain('Enquiry');
  });
});
