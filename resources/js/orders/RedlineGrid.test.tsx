import { useQuery } from '@tanstack/react-query';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { queries } from '../lib/queries';
import { done } from '../testing/done';
import { item, line, redline as aRedline, redlineRow as row, tube } from '../testing/make';
import { Refused, server, type Call } from '../testing/server';
import { show } from '../testing/show';
import { RedlineGrid } from './RedlineGrid';
import { dropped, reordered } from './reordered';
import { useRedline, type Redline } from './useRedline';

const clamp = item('600-0012', 'Tube clamp', { unit: 'pc' });
const redline = aRedline({ rows: [row(50, tube), row(60, clamp)] });
const PAGE = '/api/orders/ECO-00090/items/200-0010/redline';
const TOGETHER = 'POST /api/orders/ECO-00090/items/200-0010/edits-together';
const EDITS = 'POST /api/orders/ECO-00090/items/200-0010/edits';

function Harness({ only = false }: { only?: boolean }) {
  const page = useQuery(queries.redline('ECO-00090', '200-0010'));
  return page.data ? <Grid redline={page.data} only={only} /> : null;
}

function Grid({ redline: shown, only }: { redline: Redline; only: boolean }) {
  const { edit, several } = useRedline(shown);
  return (
    <RedlineGrid
      name="lines"
      rows={shown.rows}
      mayEdit={shown.may_edit}
      edit={edit}
      several={several}
      only={only}
      wide={false}
      reorder={(marked, by) => reordered(marked, shown.rows, by)}
      drop={(lines, onto, side) => dropped(lines, shown.rows, onto, side)}
    />
  );
}

async function grid(shown = redline, only = false) {
  server.on(`GET ${PAGE}`, shown).on(EDITS, done('ECO-00090'));
  const user = await show(<Harness only={only} />);
  await screen.findByRole('grid');
  return user;
}

const cell = (rowAt: number, columnAt: number) =>
  within(screen.getAllByRole('row')[rowAt + 1] ?? document.body).getAllByRole('gridcell')[columnAt] ?? document.body;
const QUANTITY = 2;
const bodyOf = (call: Call | undefined) => call?.body;

describe('before and after in one table', () => {
  it('moves a line up and down with Alt, and says when it cannot', async () => {
    const user = await grid();
    server.on(TOGETHER, done('ECO-00090'));
    cell(1, 0).focus();
    await user.keyboard('{Alt>}{ArrowUp}{/Alt}');
    // The one above goes below it.
    await waitFor(() =>
      expect(bodyOf(server.asked(TOGETHER)[0])).toMatchObject({
        edits: [{ operation: 'change', line: redline.rows[0]?.key, fields: { find: '70' } }],
      }),
    );
    cell(0, 0).focus();
    await user.keyboard('{Alt>}{ArrowUp}{/Alt}');
    expect(await screen.findByText(/Nothing was moved. Nothing stands above./)).toBeTruthy();
  });

  it('puts a line where it is dropped, above or below another', async () => {
    await grid();
    server.on(TOGETHER, done('ECO-00090'));
    const handles = screen.getAllByTitle('Drag to another place');
    const [, onto] = screen.getAllByRole('row').slice(1);
    const [first] = handles;
    if (!first || !onto) throw new Error('Two lines are wanted.');
    const held = new Map<string, string>();
    const dataTransfer = {
      setData: (type: string, text: string) => held.set(type, text),
      getData: (type: string) => held.get(type) ?? '',
      get types() {
        return [...held.keys()];
      },
    };
    fireEvent.dragStart(first, { dataTransfer });
    fireEvent.dragOver(onto, { dataTransfer, clientY: 40 });
    expect(onto.className).toContain('shadow');
    fireEvent.drop(onto, { dataTransfer, clientY: 40 });
    await waitFor(() =>
      expect(bodyOf(server.asked(TOGETHER)[0])).toMatchObject({
        edits: [{ operation: 'change', line: redline.rows[0]?.key, fields: { find: '70' } }],
      }),
    );
    // On itself nothing is done.
    fireEvent.dragStart(first, { dataTransfer });
    const [self] = screen.getAllByRole('row').slice(1);
    fireEvent.drop(self ?? document.body, { dataTransfer, clientY: 0 });
    expect(server.asked(TOGETHER)).toHaveLength(1);
  });

  it('is walked as a spreadsheet: one cell takes the tab, arrows, Home and End move', async () => {
    const user = await grid();
    expect(screen.getAllByRole('gridcell').filter((one) => one.tabIndex === 0).length).toBe(1);
    cell(0, 0).focus();
    await user.keyboard('{ArrowRight}{ArrowDown}');
    expect(document.activeElement).toBe(cell(1, 1));
    await user.keyboard('{End}');
    expect(document.activeElement).toBe(cell(1, 5));
    await user.keyboard('{Home}{ArrowUp}{ArrowUp}');
    expect(document.activeElement).toBe(cell(0, 0));
  });

  it('saves a cell that was typed in, with what had been seen, and goes on below', async () => {
    const user = await grid();
    cell(0, QUANTITY).focus();
    await user.keyboard('{Enter}');
    const editor = screen.getByLabelText('Quantity of line 50');
    await user.clear(editor);
    await user.type(editor, '0.5{Enter}');
    await waitFor(() =>
      expect(bodyOf(server.asked(EDITS)[0])).toEqual({
        operation: 'change',
        line: 'line-50',
        fields: { quantity: '0.5' },
        seen: 7,
      }),
    );
    await waitFor(() => expect(document.activeElement).toBe(cell(1, QUANTITY)));
    // Enter and the blur after it are one act.
    expect(server.asked(EDITS).length).toBe(1);
  });

  it('leaves a cell as it was by Escape, and saves nothing that did not change', async () => {
    const user = await grid();
    cell(0, QUANTITY).focus();
    await user.keyboard('{F2}');
    await user.type(screen.getByLabelText('Quantity of line 50'), '9{Escape}');
    await waitFor(() => expect(screen.queryByLabelText('Quantity of line 50')).toBeNull());
    await waitFor(() => expect(document.activeElement).toBe(cell(0, QUANTITY)));
    await user.keyboard('{Enter}{Enter}');
    expect(server.asked(EDITS)).toEqual([]);
  });

  it('replaces a component that is found while its number is typed', async () => {
    const user = await grid();
    server.on('GET /api/items', [item('200-0041', 'Pump tube, wall 2.4 mm')]);
    await user.dblClick(cell(0, 1));
    const picker = screen.getByRole('combobox', { name: 'Component of line 50' });
    await user.clear(picker);
    await user.type(picker, '2.4');
    await screen.findByRole('option');
    await user.keyboard('{Enter}');
    await waitFor(() =>
      expect(bodyOf(server.asked(EDITS)[0])).toMatchObject({
        operation: 'replace',
        fields: { component: '200-0041' },
      }),
    );
  });

  it('takes a line out by Delete and by its button', async () => {
    const user = await grid();
    cell(1, 0).focus();
    await user.keyboard('{Delete}');
    await waitFor(() =>
      expect(bodyOf(server.asked(EDITS)[0])).toMatchObject({ operation: 'remove', line: 'line-60', fields: {} }),
    );
    await user.click(screen.getByRole('button', { name: 'Remove line 50' }));
    await waitFor(() => expect(bodyOf(server.asked(EDITS)[1])).toMatchObject({ line: 'line-50' }));
  });

  it('says below the line why it was refused, and keeps the cell open', async () => {
    const user = await grid();
    server.on(EDITS, new Refused(422, 'No.', { quantity: ['Write the quantity as a number.'] }));
    cell(0, QUANTITY).focus();
    await user.keyboard('{Enter}');
    const editor = screen.getByLabelText('Quantity of line 50');
    await user.clear(editor);
    await user.type(editor, 'many{Enter}');
    expect((await screen.findByRole('alert')).textContent).toContain('Write the quantity as a number.');
    expect(screen.getByLabelText<HTMLInputElement>('Quantity of line 50').value).toBe('many');
    expect(cell(0, QUANTITY).getAttribute('aria-invalid')).toBe('true');
    await user.keyboard('{Escape}');
    await waitFor(() => expect(screen.queryByRole('alert')).toBeNull());
  });

  it('begins a cell with the very key that opened it, in place of what was there', async () => {
    const user = await grid();
    cell(0, QUANTITY).focus();
    await user.keyboard('0.25{Enter}');
    await waitFor(() => expect(bodyOf(server.asked(EDITS)[0])).toMatchObject({ fields: { quantity: '0.25' } }));
    await user.keyboard('{Escape}');
    cell(1, 1).focus();
    server.on('GET /api/items', ({ query }) => (query.words === '200-0041' ? [item('200-0041', 'Pump tube')] : []));
    await user.keyboard('200-0041{Enter}');
    await waitFor(() => expect(bodyOf(server.asked(EDITS)[1])).toMatchObject({ fields: { component: '200-0041' } }));
  });

  it('pastes a block of cells, all of it in one act', async () => {
    const user = await grid();
    server.on(TOGETHER, done('ECO-00090'));
    await user.click(cell(0, QUANTITY));
    await user.paste('0.5\tm\n4\tpc\n');
    await waitFor(() => expect(server.asked(TOGETHER).length).toBe(1));
    expect(bodyOf(server.asked(TOGETHER)[0])).toEqual({
      edits: [
        { operation: 'change', line: 'line-50', fields: { quantity: '0.5', unit: 'm' } },
        { operation: 'change', line: 'line-60', fields: { quantity: '4' } },
      ],
      seen: 7,
    });
    expect(server.asked(EDITS)).toEqual([]);
  });

  it('makes lines of the rows beyond the last one, numbered on', async () => {
    const user = await grid();
    server.on(TOGETHER, done('ECO-00090'));
    await user.click(cell(1, 1));
    await user.paste('600-0012\t4\n710-0001\t2.5\n710-0002\t1\n');
    await waitFor(() => expect(server.asked(TOGETHER).length).toBe(1));
    expect(bodyOf(server.asked(TOGETHER)[0])).toMatchObject({
      edits: [
        { operation: 'change', fields: { quantity: '4' } },
        { operation: 'add', line: '', fields: { find: '70', component: '710-0001', quantity: '2.5' } },
        { operation: 'add', line: '', fields: { find: '80', component: '710-0002', quantity: '1' } },
      ],
    });
  });

  it.each([
    ['rows beyond the last line without a component', '4\n5\n6\n', /2 rows beyond the last line.*no component/],
    ['columns beyond the last one', '1\tpc\t\tnote\tmore\n', /5 columns wide.*there are 4/],
  ])('says what of a block does not fit, and pastes none of it: %s', async (_, block, reason) => {
    const user = await grid();
    await user.click(cell(block.startsWith('4') ? 1 : 0, QUANTITY));
    await user.paste(block);
    expect((await screen.findByRole('alert')).textContent).toMatch(reason);
    expect(server.asked(TOGETHER)).toEqual([]);
  });

  it('names the row and column of a block that is refused', async () => {
    const user = await grid();
    server.on(TOGETHER, new Refused(422, 'No.', { 'edits.1.quantity': ['Write a number.'] }));
    await user.click(cell(0, QUANTITY));
    await user.paste('2\ny\n');
    expect((await screen.findByRole('alert')).textContent).toContain('Row 2, Quantity: Write a number.');
  });

  it('copies the block that is marked, and removes its lines together', async () => {
    const user = await grid();
    const copied = vi.spyOn(navigator.clipboard, 'writeText').mockResolvedValue();
    server.on(TOGETHER, done('ECO-00090'));
    cell(0, 1).focus();
    await user.keyboard('{Shift>}{ArrowDown}{ArrowRight}{/Shift}{Control>}c{/Control}');
    expect(copied).toHaveBeenCalledExactlyOnceWith('200-0040\t1\n600-0012\t1');
    expect(screen.getAllByRole('gridcell', { selected: true }).length).toBe(4);
    await user.keyboard('{Delete}');
    await waitFor(() =>
      expect(bodyOf(server.asked(TOGETHER)[0])).toMatchObject({
        edits: [{ operation: 'remove' }, { operation: 'remove' }],
      }),
    );
  });

  it('shows the old value struck out beside the new one, and says by whom', async () => {
    await grid({
      ...redline,
      rows: [
        row(50, tube, {
          mark: 'changed',
          fields: ['quantity'],
          after: line(50, tube.number, { quantity: '0.5' }),
          edited_by: 'Jonas Weir',
          edited_at: '2026-11-25T08:00:00+00:00',
        }),
        row(60, clamp, { mark: 'removed', after: null, item: null }),
        row(70, clamp, { mark: 'added', before: null, was_item: null }),
      ],
    });
    const quantity = cell(0, QUANTITY);
    expect(quantity.querySelector('del')?.textContent).toBe('1');
    expect(quantity.querySelector('ins')?.textContent).toBe('0.5');
    expect(screen.getByText('Jonas Weir')).toBeTruthy();
    expect(cell(1, 1).querySelector('del')?.textContent).toContain('600-0012');
    expect(cell(2, 1).querySelector('ins')?.textContent).toContain('600-0012');
    // A line that is gone is not edited.
    expect(screen.queryByRole('button', { name: 'Remove line 60' })).toBeNull();
  });

  it('shows only what differs when asked, and what to do when nothing does', async () => {
    server.on(`GET ${PAGE}`, redline);
    await show(<Harness only />);
    expect(await screen.findByText('No differences yet.')).toBeTruthy();
  });

  it('is only read while it is held', async () => {
    const user = await grid({ ...redline, may_edit: false });
    expect(screen.getByRole('grid').getAttribute('aria-readonly')).toBe('true');
    cell(0, QUANTITY).focus();
    await user.keyboard('{Enter}{Delete}5');
    await user.paste('9');
    expect(screen.queryByRole('textbox')).toBeNull();
    expect(server.asked(EDITS)).toEqual([]);
    expect(screen.queryByRole('button', { name: /Remove/ })).toBeNull();
  });

  it('has columns of days only where a line says any', async () => {
    await grid({ ...redline, rows: [row(50, tube, { after: line(50, tube.number, { last_day: '2027-04-13' }) })] });
    expect(screen.getByRole('columnheader', { name: 'Last day' })).toBeTruthy();
    expect(screen.queryByRole('columnheader', { name: 'First day' })).toBeNull();
  });
});
