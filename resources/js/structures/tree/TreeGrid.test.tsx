import { screen, waitFor } from '@testing-library/react';
import { useState } from 'react';
import { describe, expect, it, vi } from 'vitest';
import { head, item, line, tube } from '../../testing/make';
import { address, show } from '../../testing/show';
import { TreeGrid } from './TreeGrid';
import { visibleRows, type TreeRow } from './treeRows';

const clamp = item('600-0012', 'Tube clamp', { unit: 'pc' });
const row = (path: string, level: number, of: typeof tube, more: Partial<TreeRow> = {}): TreeRow => ({
  path,
  level,
  line: line(Number(path.split('/').at(-1)), of.number),
  item: of,
  revision: 'A',
  status: 'in_force',
  opens: false,
  extended: '1',
  times: '1',
  holds: true,
  mark: null,
  order: null,
  ...more,
});
const rows = [
  row('10', 1, head, { opens: true }),
  row('10/50', 2, tube, { line: line(50, tube.number, { quantity: '0.5', notes: 'wall 1.6 mm', unit: 'm' }) }),
  row('10/60', 2, clamp),
  row('20', 1, clamp, {
    mark: 'changed',
    order: 'ECO-00090',
    line: line(20, clamp.number, { last_day: '2027-04-13' }),
  }),
];

function Harness({ words = '' }: { words?: string }) {
  const [turned, setTurned] = useState<ReadonlyMap<string, boolean>>(new Map());
  const openness = { levels: 9, turned };
  return (
    <TreeGrid
      rows={visibleRows(rows, openness, new Map())}
      openness={openness}
      onTurn={(path, open) => setTurned(new Map(turned).set(path, open))}
      words={words}
    />
  );
}

async function tree(words?: string) {
  // Nothing is laid out here: the window is told that it sees all of it.
  vi.spyOn(HTMLElement.prototype, 'clientHeight', 'get').mockReturnValue(800);
  const user = await show(<Harness words={words} />);
  await screen.findByRole('treegrid', { name: 'Lines' });
  return user;
}

const lines = () => screen.getAllByRole('row').slice(1);
const finds = () => lines().map((one) => one.textContent.replace(/^[▾▸]/, '').slice(0, 2));
const focused = () => document.activeElement?.getAttribute('aria-rowindex');

describe('a structure as a tree', () => {
  it('tells level and openness of every line', async () => {
    await tree();
    expect(lines().map((one) => [one.getAttribute('aria-level'), one.getAttribute('aria-expanded')])).toEqual([
      ['1', 'true'],
      ['2', null],
      ['2', null],
      ['1', null],
    ]);
  });

  it('is closed and opened by the arrows, and goes up to the parent', async () => {
    const user = await tree();
    lines()[2]?.focus();
    await user.keyboard('{ArrowLeft}');
    await waitFor(() => expect(focused()).toBe('2'));
    await user.keyboard('{ArrowLeft}');
    expect(finds()).toEqual(['10', '20']);
    expect(lines()[0]?.getAttribute('aria-expanded')).toBe('false');
    await user.keyboard('{ArrowRight}');
    expect(finds()).toEqual(['10', '50', '60', '20']);
    await user.keyboard('{ArrowRight}');
    await waitFor(() => expect(focused()).toBe('3'));
  });

  it('keeps up with quick keys', async () => {
    const user = await tree();
    lines()[0]?.focus();
    await user.keyboard('{ArrowDown}{ArrowDown}{ArrowDown}{ArrowDown}{ArrowUp}');
    await waitFor(() => expect(focused()).toBe('4'));
    await user.keyboard('{End}');
    await waitFor(() => expect(focused()).toBe('5'));
  });

  it('opens the item of a line by Enter, and a branch by its sign', async () => {
    const user = await tree();
    await user.click(screen.getByRole('button', { name: 'Close 200-0010' }));
    expect(finds()).toEqual(['10', '20']);
    await user.click(screen.getByRole('button', { name: 'Open 200-0010' }));
    lines()[1]?.focus();
    await user.keyboard('{Enter}');
    expect(address()).toBe('/items/200-0040');
  });

  it('copies the lines that are marked, with their level, for a spreadsheet', async () => {
    const user = await tree();
    const write = vi.spyOn(navigator.clipboard, 'writeText').mockResolvedValue();
    lines()[0]?.focus();
    await user.keyboard('{Shift>}{ArrowDown}{/Shift}');
    await waitFor(() => expect(focused()).toBe('3'));
    await user.keyboard('{Control>}c{/Control}');
    expect(write).toHaveBeenCalledWith(
      '1\t10\t200-0010\tPump head\tA\t1\tpc\t1\t\t\n2\t50\t200-0040\tPump tube, wall 1.6 mm\tA\t0.5\tm\t1\t\twall 1.6 mm',
    );
  });

  it('keeps what is marked when the window loses the focus for a moment, and copies a block of cells', async () => {
    const user = await tree();
    const write = vi.spyOn(navigator.clipboard, 'writeText').mockResolvedValue();
    lines()[0]?.focus();
    await user.keyboard('{Shift>}{ArrowDown}{ArrowRight}{ArrowRight}{/Shift}');
    lines()[0]?.blur();
    lines()[0]?.focus();
    await user.keyboard('{Control>}c{/Control}');
    expect(write).toHaveBeenLastCalledWith('10\t200-0010\n50\t200-0040');
    lines()[3]?.focus();
    await user.keyboard('{Control>}c{/Control}');
    expect(write).toHaveBeenLastCalledWith('20\t600-0012');
  });

  it('marks what is looked for, and tells days and the order that changes a line', async () => {
    await tree('clamp');
    expect([...document.querySelectorAll('mark')].map((one) => one.textContent)).toEqual(['Tube clamp', 'Tube clamp']);
    expect(lines()[3]?.textContent).toContain('until 13 Apr 2027');
    expect(screen.getByRole('link', { name: 'ECO-00090' })).toBeTruthy();
  });
});
