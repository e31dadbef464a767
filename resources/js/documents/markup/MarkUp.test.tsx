import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../../lib/api';
import { done } from '../../testing/done';
import { change } from '../../testing/make';
import { Refused, server } from '../../testing/server';
import { address, show, vera } from '../../testing/show';
import { MarkUp } from './MarkUp';

const file: Schemas['FileRow'] = {
  id: 'f1',
  item: '800-0011',
  role: 'sheet',
  name: '800-0011-A.svg',
  media_type: 'image/svg+xml',
  bytes: 900,
  revision: 'A',
  status: 'in_force',
  first_day: '2026-06-28',
  order: null,
  brought_by: 'Jonas Weir',
  brought_at: '2026-11-01T08:00:00+00:00',
};
const sheet = { image: 'data:image/png;base64,AA==', width: 400, height: 300, pages: 2 };
const DRAFT = 'mira.okafor:draft:mark-up f1 1';

// Nothing is laid out here: a point of the screen is a point of the sheet.
beforeEach(() => {
  Object.assign(SVGElement.prototype, { getScreenCTM: () => ({ inverse: () => null }) });
  vi.stubGlobal(
    'DOMPoint',
    class {
      constructor(
        readonly x: number,
        readonly y: number,
      ) {}
      matrixTransform() {
        return this;
      }
    },
  );
});

async function markUp(as?: Schemas['Me'], onPage = vi.fn()) {
  server
    .on('GET /api/changes', [
      change('ECO-00084', 'Label'),
      change('ECR-00096', 'Pump tube wears out early'),
      change('PR-00009', 'Rotor screws hard to reach', { type: 'report', state: 'open' }),
    ])
    .on('GET /api/items/800-0011', { changes: [change('PR-00009', 'Rotor screws hard to reach')] });
  const user = await show(<MarkUp item="800-0011" file={file} sheet={sheet} page={1} onPage={onPage} />, { as });
  return { user, onPage };
}

const marks = () =>
  within(screen.getByRole('region', { name: 'Marks' }))
    .getAllByRole('listitem')
    .map((one) => one.textContent.trim());
const drawn = () => screen.getByRole('img', { name: /800-0011 with/ });

function drag(from: [number, number], ...to: [number, number][]) {
  const at = ([clientX, clientY]: [number, number]) => ({ clientX, clientY, pointerId: 1, buttons: 1 });
  fireEvent.pointerDown(drawn(), at(from));
  for (const point of to) fireEvent.pointerMove(drawn(), at(point));
  fireEvent.pointerUp(drawn());
}

describe('marking a sheet up', () => {
  it('draws with the tool that is chosen', async () => {
    const { user } = await markUp();
    drag([20, 20], [120, 90]);
    await user.click(screen.getByRole('button', { name: 'Arrow' }));
    drag([30, 30], [60, 200]);
    await user.click(screen.getByRole('button', { name: 'Freehand' }));
    drag([5, 5], [6, 9], [9, 14], [30, 40]);
    expect(marks()).toEqual(['1 Cloud', '2 Arrow', '3 Freehand']);
    expect(drawn().getAttribute('aria-label')).toBe('800-0011 with 3 marks');
  });

  it('leaves nothing by a slip of the hand, nor a note without words', async () => {
    const { user } = await markUp();
    drag([20, 20], [21, 21]);
    await user.click(screen.getByRole('button', { name: 'Text' }));
    drag([20, 20]);
    expect(screen.queryByRole('region', { name: 'Marks' })).toBeNull();
    await user.type(screen.getByLabelText('Text of the note'), 'The wrench does not reach');
    drag([20, 20]);
    expect(marks()).toEqual(['1 Text The wrench does not reach']);
  });

  it('is done by keys alone: put in the middle, moved by arrows, taken away', async () => {
    const { user } = await markUp();
    await user.click(screen.getByRole('button', { name: 'Dimension' }));
    await user.type(screen.getByLabelText('Text of the dimension'), '2.0 mm');
    await user.click(screen.getByRole('button', { name: 'Place in the middle' }));
    await user.click(screen.getByRole('button', { name: '1 Dimension 2.0 mm' }));
    const where = () =>
      (JSON.parse(localStorage.getItem(DRAFT) ?? '{}') as { value: { marks: { points: { x: number }[] }[] } }).value
        .marks[0]?.points[0]?.x ?? 0;
    const before = where();
    await user.keyboard('{ArrowRight}{ArrowRight}');
    expect(where()).toBe(before + 20);
    await user.keyboard('{Delete}');
    expect(screen.queryByRole('region', { name: 'Marks' })).toBeNull();
  });

  it('takes the last mark back, and keeps what is not saved yet', async () => {
    const { user } = await markUp();
    drag([20, 20], [120, 90]);
    drag([30, 30], [130, 95]);
    await user.click(screen.getByRole('button', { name: 'Undo' }));
    expect(marks()).toEqual(['1 Cloud']);
    expect(localStorage.getItem(DRAFT)).toContain('cloud');
  });

  it('says on the sheet whose mark-up it is, of which revision, and that the sheet is unchanged', async () => {
    await markUp();
    expect(drawn().textContent).toMatch(
      /Mark-up of 800-0011, revision A, page 1 · Mira Okafor, .* The sheet itself is unchanged/,
    );
  });

  it('turns pages', async () => {
    const { user, onPage } = await markUp();
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Previous page' }).disabled).toBe(true);
    await user.click(screen.getByRole('button', { name: 'Next page' }));
    expect(onPage).toHaveBeenCalledExactlyOnceWith(2);
  });
});

describe('keeping a mark-up', () => {
  it('is offered with open reports and requests, those first that name the item', async () => {
    const { user } = await markUp();
    await waitFor(() => expect(server.asked('GET /api/items/800-0011').length).toBe(1));
    // Those that name the item are offered at once, all others by their words.
    expect(await screen.findByRole('button', { name: 'PR-00009' })).toBeTruthy();
    await user.type(screen.getByRole('combobox', { name: 'Attach to' }), 'pump');
    await waitFor(() =>
      expect(server.asked('GET /api/changes').at(-1)?.query).toMatchObject({ words: 'pump', type: 'report,request' }),
    );
    expect(screen.getAllByRole('option').map((one) => one.textContent)).toContainEqual(
      expect.stringContaining('ECR-00096'),
    );
  });

  it('goes to the report it is kept with, and forgets the draft; an empty one is not kept', async () => {
    const { user } = await markUp();
    const keep = screen.getByRole<HTMLButtonElement>('button', { name: 'Save mark-up' });
    await user.click(await screen.findByRole('button', { name: 'PR-00009' }));
    expect(keep.disabled).toBe(true);
    drag([20, 20], [120, 90]);
    expect(keep.disabled).toBe(false);
    server.on('POST /api/reports/PR-00009/files', new Refused(422, 'No.', { file: ['It is too large.'] }));
    await user.click(keep);
    expect(await screen.findByText(/It is too large/)).toBeTruthy();
    expect(localStorage.getItem(DRAFT)).toContain('cloud');
    server.on('POST /api/reports/PR-00009/files', done('PR-00009'));
    await user.click(keep);
    await waitFor(() => expect(address()).toBe('/reports/PR-00009'));
    expect(localStorage.getItem(DRAFT)).toBeNull();
  });

  it('is not offered to who only reads, who may still take it along', async () => {
    await markUp(vera);
    expect(screen.queryByRole('button', { name: 'Save mark-up' })).toBeNull();
    expect(screen.getByRole('button', { name: 'PDF' })).toBeTruthy();
  });
});
