import { screen, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { ledgerRow } from '../testing/make';
import { show } from '../testing/show';
import { LedgerTable } from './LedgerTable';

const cells = async (row: Parameters<typeof ledgerRow>[2], act = 'figure.said') => {
  await show(<LedgerTable rows={[ledgerRow(12, act, row)]} />);
  return within(screen.getAllByRole('row')[1] ?? document.body)
    .getAllByRole('gridcell')
    .map((one) => one.textContent);
};

describe('the record of what was done', () => {
  it('tells number, time, person, subject and act in words', async () => {
    const [number, at, actor, subject, act] = await cells({}, 'request.raised');
    expect([number, actor, subject]).toEqual(['12', 'Mira Okafor', 'ECR-00096']);
    expect(at).toMatch(/^24 Nov 2026/);
    expect(act).toBe('Request created');
    expect(screen.getByRole('link', { name: 'ECR-00096' }).getAttribute('href')).toBe('/changes/ECR-00096');
  });

  it('calls what planning said and what was decided as the other pages do', async () => {
    const row = await cells({
      details: {
        hand_over: 'ECO-00082_1',
        taken: 39,
        refused: 3,
        way: ['return', 'as_proposed'],
        disposition: 'return',
      },
    });
    expect(row[5]).toBe(
      'hand over: ECO-00082_1 · accepted: 39 · rejected: 3 · decision: Return, as proposed · disposition: Return to supplier',
    );
  });

  it('tells details by name, leaves out what is empty, and never shows a digest', async () => {
    const row = await cells({
      details: {
        effective_on: '2027-04-14',
        reason: 'Known.',
        file: null,
        note: '',
        digest: 'abcdef',
        line: 'k1',
        part: '01a2',
        fields: {},
        items: [],
      },
    });
    expect(row[5]).toBe('effective on: 14 Apr 2027 · reason: Known.');
  });

  it('tells lists without brackets', async () => {
    const row = await cells({ details: { items: ['200-0040', '200-0041'] } });
    expect(row[5]).toBe('items: 200-0040, 200-0041');
  });

  it('tells codes as the pages call them, and fields of a line without marks of a program', async () => {
    const row = await cells({
      details: { disposition: 'use_up', fields: { quantity: '3', designators: '', notes: 'wall 2.4' } },
    });
    expect(row[5]).toBe('disposition: Use up · fields: quantity 3, notes wall 2.4');
  });

  it('says when nothing was done', async () => {
    await show(<LedgerTable rows={[]} />);
    expect(screen.getByText('Nothing was done yet.')).toBeTruthy();
  });
});
