import { screen, waitFor } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../../lib/api';
import { server } from '../../testing/server';
import { show } from '../../testing/show';
import { SheetBack } from './SheetBack';

const SHEET = 'POST /api/orders/ECO-00090/sheet';
const outcome = (more: Partial<Schemas['SheetOutcome']> = {}): Schemas['SheetOutcome'] => ({
  done: false,
  changes: [
    {
      item: '200-0010',
      work: 'engineering',
      mark: 'changed',
      find: 20,
      component: '200-0042',
      fields: ['quantity 2 → 4'],
    },
  ],
  agreed: 0,
  conflicts: [],
  faults: [],
  marked: null,
  ...more,
});

async function bring(first: Schemas['SheetOutcome']) {
  server.on(SHEET, first);
  const onDone = vi.fn();
  const user = await show(<SheetBack order="ECO-00090" file={new File(['parent'], 'lines.csv')} onDone={onDone} />);
  return { user, onDone };
}

describe('a sheet that comes back', () => {
  it('is looked at before anything is done, then imported as a whole', async () => {
    const { user, onDone } = await bring(outcome({ agreed: 2 }));
    expect(await screen.findByText('quantity 2 → 4')).toBeTruthy();
    expect(screen.getByText('2 of it others have done already')).toBeTruthy();
    expect(String(server.asked(SHEET)[0]?.body)).toContain('no');
    server.on(SHEET, outcome({ done: true }));
    await user.click(screen.getByRole('button', { name: 'Import 1 change' }));
    expect(await screen.findByText('Done, the lines in one step to undo.')).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Close' }));
    expect(onDone).toHaveBeenCalled();
  });

  it('shows what its head says of the order as well', async () => {
    const head = { item: 'ECO-00090', work: 'order', find: 0, component: '', fields: ['title Tube → Thicker tube'] };
    await bring(outcome({ changes: [{ ...head, mark: 'changed' }] }));
    expect(await screen.findByText('title Tube → Thicker tube')).toBeTruthy();
    expect(screen.getByRole('link', { name: 'ECO-00090' })).toBeTruthy();
    expect(screen.getByRole('gridcell', { name: 'Order' })).toBeTruthy();
  });

  it('says every cell that cannot be so, and offers nothing but the marked workbook', async () => {
    await bring(
      outcome({
        faults: [{ row: 7, column: 'quantity', reason: 'Write the quantity as a number.' }],
        marked: 'sheet-1',
      }),
    );
    expect(await screen.findByText('Write the quantity as a number.')).toBeTruthy();
    expect(screen.getByRole('link', { name: /each of them marked/ }).getAttribute('href')).toBe(
      '/api/orders/ECO-00090/sheets/sheet-1/marked',
    );
    expect(screen.queryByRole('button', { name: /Import/ })).toBeNull();
  });

  it('lets one choose where others did another thing to the same', async () => {
    const { user } = await bring(
      outcome({
        conflicts: [
          {
            key: '200-0010 engineering k.quantity',
            part: '200-0010, line 20',
            field: 'quantity',
            before: '2',
            mine: '4',
            theirs: '3',
          },
        ],
      }),
    );
    expect((await screen.findByRole<HTMLButtonElement>('button', { name: 'Import: 1 still to choose' })).disabled).toBe(
      true,
    );
    await user.click(screen.getByRole('radio', { name: 'Sheet' }));
    await user.click(screen.getByRole('button', { name: 'Import 1 change' }));
    await waitFor(() => expect(server.asked(SHEET)).toHaveLength(2));
    expect(String(server.asked(SHEET)[1]?.body)).toContain('choices[200-0010 engineering k.quantity]');
  });

  it('has nothing to change where the sheet says what there is', async () => {
    await bring(outcome({ changes: [] }));
    expect((await screen.findByRole<HTMLButtonElement>('button', { name: 'Nothing to change' })).disabled).toBe(true);
  });
});
