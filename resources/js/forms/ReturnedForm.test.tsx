import { screen, waitFor } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../lib/api';
import { done } from '../testing/done';
import { Refused, server } from '../testing/server';
import { show } from '../testing/show';
import { ReturnedForm } from './ReturnedForm';

const proposal = (tag: string, use: Schemas['ProposalRow']['use'], more: Partial<Schemas['ProposalRow']> = {}) => ({
  tag,
  label: tag,
  use,
  before: '',
  after: '',
  item: '',
  function: null,
  asked: null,
  due_on: null,
  fault: null,
  ...more,
});
const preview: Schemas['FormPreview'] = {
  number: 'F-00002',
  template: 'Field check',
  handed_at: '2026-11-24T09:00:00+00:00',
  version: 5,
  proposals: [
    proposal('title', 'field', { label: 'Title', before: 'Tube wears', after: 'Tube tears' }),
    proposal('priority', 'field', { label: 'Priority', before: 'normal', after: 'critical' }),
    proposal('seen', 'finding', { label: 'Seen', after: 'Seen: torn at the rollers' }),
    proposal('stock', 'question', {
      label: 'Spares',
      after: 'What shall become of them?',
      item: '200-0040',
      function: 'service',
      asked: 'Service',
      due_on: '2026-12-03',
    }),
    proposal('photo', 'attachment', { label: 'Photo', fault: 'The same picture is attached already.' }),
  ],
};
const LOOK = 'POST /api/requests/ECR-00096/returned-form';
const TAKE = `${LOOK}/taken`;

async function bring() {
  const user = await show(<ReturnedForm number="ECR-00096" />);
  await user.upload(
    screen.getByLabelText('Drop the form that came back here, or choose it'),
    new File(['…'], 'check.docx'),
  );
  return user;
}

describe('a form that came back', () => {
  it('is shown first: every field, finding, question and picture it would bring, and what cannot be', async () => {
    server.on(LOOK, preview);
    await bring();
    expect(await screen.findByText(/Nothing is done yet/)).toBeTruthy();
    const [, title, priority, seen, stock, photo] = screen.getAllByRole('row');
    expect(title?.textContent).toContain('Tube wears → Tube tears');
    expect(priority?.textContent).toContain('Normal → Critical');
    expect(seen?.textContent).toContain('Seen: torn at the rollers');
    expect(stock?.textContent).toContain('Service, put to Service, about 200-0040, by 3 Dec 2026');
    expect(photo?.textContent).toContain('The same picture is attached already.');
    expect(server.asked(TAKE)).toEqual([]);
  });

  it('takes in what is chosen and nothing that cannot be, with the version it was looked at in', async () => {
    server.on(LOOK, preview).on(TAKE, done('ECR-00096'));
    const user = await bring();
    const append = vi.spyOn(FormData.prototype, 'append');
    await user.click(await screen.findByRole('checkbox', { name: 'Import: Title' }));
    expect(screen.getByRole<HTMLInputElement>('checkbox', { name: 'Import: Photo' }).disabled).toBe(true);
    await user.click(screen.getByRole('button', { name: 'Import 3' }));
    await waitFor(() => expect(screen.queryByText(/Nothing is done yet/)).toBeNull());
    expect(append.mock.calls.filter(([name]) => name !== 'file')).toEqual([
      ['tags[]', 'priority'],
      ['tags[]', 'seen'],
      ['tags[]', 'stock'],
      ['version', '5'],
    ]);
    append.mockRestore();
  });

  it('is refused with the reason', async () => {
    server.on(LOOK, new Refused(422, 'No.', { file: ['F-00001 was imported already by Mira Okafor on 2026-11-20.'] }));
    await bring();
    expect((await screen.findByRole('alert')).textContent).toContain('was imported already by Mira Okafor');
    expect(screen.queryByRole('grid')).toBeNull();
  });

  it('is looked at again when the record was changed meanwhile', async () => {
    server.on(LOOK, preview).on(TAKE, new Refused(409, 'The request was changed by somebody else.'));
    const user = await bring();
    await user.click(await screen.findByRole('button', { name: 'Import 4' }));
    expect((await screen.findByRole('alert')).textContent).toContain('changed by somebody else');
    server.on(LOOK, { ...preview, version: 6, proposals: [] });
    await user.click(screen.getByRole('button', { name: 'Check again' }));
    expect(await screen.findByText(/Nothing is written in it that is not in the record already/)).toBeTruthy();
    expect(screen.getByRole('button', { name: 'File it, change nothing' })).toBeTruthy();
  });

  it('can be left', async () => {
    server.on(LOOK, preview);
    const user = await bring();
    await user.click(await screen.findByRole('button', { name: 'Cancel' }));
    expect(screen.queryByRole('grid')).toBeNull();
  });
});
