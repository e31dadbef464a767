import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schemas } from '../lib/api';
import { done } from '../testing/done';
import { Refused, server } from '../testing/server';
import { mira, show, vera } from '../testing/show';
import { Attachments } from './Attachments';

const file = (id: string, name: string, more: Partial<Schemas['ChangeFileRow']> = {}): Schemas['ChangeFileRow'] => ({
  id,
  role: 'evidence',
  name,
  media_type: 'image/png',
  bytes: 1200,
  brought_by: 'Mira Okafor',
  brought_by_login: 'mira.okafor',
  brought_at: '2026-11-24T09:00:00+00:00',
  ...more,
});
const BRING = 'POST /api/reports/PR-00003/files';

const attachments = (files: Schemas['ChangeFileRow'][], open = true, as: Schemas['Me'] = mira) =>
  show(<Attachments to={{ report: 'PR-00003' }} files={files} open={open} />, { as });
const choose = () => screen.getByLabelText('Drop evidence here, or choose a file');

describe('what is attached to a report or a request', () => {
  it('says what each file is, who brought it and when, and opens it beside', async () => {
    await attachments([file('7', 'torn.png'), file('8', 'marked.svg', { role: 'mark_up', brought_by: 'Clara Fenn' })]);
    const [torn, marked] = screen.getAllByRole('listitem');
    expect(torn?.textContent).toMatch(/^Evidencetorn.pngMira Okafor, 24 Nov 2026/);
    expect(marked?.textContent).toMatch(/^Mark-up.*Clara Fenn/);
    const link = screen.getByRole('link', { name: 'torn.png' });
    expect([link.getAttribute('href'), link.getAttribute('rel')]).toEqual(['/api/change-files/7', 'noreferrer']);
  });

  it('is brought by choosing; what is refused is said, and the same file may be chosen again', async () => {
    const user = await attachments([]);
    server.on(BRING, new Refused(422, 'Files are pictures, SVG or PDF.'));
    await user.upload(choose(), new File(['MZ'], 'tool.png', { type: 'image/png' }));
    expect(await screen.findByText(/Files are pictures, SVG or PDF/)).toBeTruthy();
    server.on(BRING, done('PR-00003'));
    await user.upload(choose(), new File(['…'], 'torn.png', { type: 'image/png' }));
    await waitFor(() => expect(screen.queryByText(/Files are pictures/)).toBeNull());
    expect(String(server.asked(BRING)[1]?.body)).toContain('evidence');
  });

  it('is brought by dropping, while that is open', async () => {
    await attachments([]);
    server.on(BRING, done('PR-00003'));
    fireEvent.drop(screen.getByRole('region', { name: 'Files of PR-00003' }), {
      dataTransfer: { files: [new File(['…'], 'torn.png')] },
    });
    await waitFor(() => expect(server.asked(BRING)).toHaveLength(1));
  });

  it('takes nothing dropped once it is settled', async () => {
    await attachments([file('7', 'torn.png')], false);
    fireEvent.drop(screen.getByRole('region', { name: 'Files of PR-00003' }), {
      dataTransfer: { files: [new File(['…'], 'late.png')] },
    });
    expect(server.asked(BRING)).toEqual([]);
    expect(screen.queryByRole('button')).toBeNull();
    expect(screen.queryByLabelText('Drop evidence here, or choose a file')).toBeNull();
  });

  it('is taken away by who brought it, but not a form that was taken in', async () => {
    const user = await attachments([
      file('7', 'mine.png'),
      file('8', 'theirs.png', { brought_by_login: 'clara.fenn' }),
      file('9', 'F-00001.docx', { role: 'form' }),
    ]);
    expect(screen.getAllByRole('button', { name: /^Remove file/ })).toHaveLength(1);
    server.on('DELETE /api/change-files/7', new Refused(422, 'It is part of an answer.'));
    await user.click(screen.getByRole('button', { name: 'Remove file mine.png' }));
    expect(await screen.findByText(/It is part of an answer/)).toBeTruthy();
  });

  it('goes to the request it belongs to', async () => {
    const user = await show(<Attachments to={{ request: 'ECR-00096' }} files={[]} open />);
    server.on('POST /api/requests/ECR-00096/files', done('ECR-00096'));
    await user.upload(choose(), new File(['…'], 'torn.png', { type: 'image/png' }));
    await waitFor(() => expect(server.asked('POST /api/requests/ECR-00096/files')).toHaveLength(1));
  });

  it('is nothing where there is nothing and nothing can be brought', async () => {
    await attachments([], true, vera);
    expect(screen.queryByRole('region')).toBeNull();
  });
});
