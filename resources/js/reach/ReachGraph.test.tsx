import { screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schemas } from '../lib/api';
import { server } from '../testing/server';
import { address, show } from '../testing/show';
import { ReachGraph } from './ReachGraph';

const node = (number: string, title: string, level: number, sold = false): Schemas['ReachNode'] => ({
  number,
  title,
  level,
  sold,
  revision: null,
});
const picture: Schemas['ReachGraph'] = {
  total: 4,
  nodes: [
    node('200-0040', 'Pump tube', 0),
    node('200-0010', 'Pump head', 1),
    node('110-0001', 'Spares kit, pump', 1, true),
    node('100-0012', 'Heron 12 river sampler', 2, true),
  ],
  edges: [
    [0, 1],
    [0, 2],
    [1, 3],
  ],
};

async function graph(shown = picture) {
  server.on('GET /api/requests/ECR-00096/reach-picture', shown);
  const user = await show(<ReachGraph number="ECR-00096" />);
  await screen.findByRole('group');
  return user;
}

/** Its name is the title of the drawing, as browsers read it. */
const nodeNamed = (name: RegExp): Element => {
  const found = screen.getAllByRole('link').find((one) => name.test(one.querySelector('title')?.textContent ?? ''));
  if (!found) throw new Error(`No node ${String(name)}.`);
  return found;
};
const opacity = (name: RegExp) => nodeNamed(name).getAttribute('opacity');

describe('the reach as a picture', () => {
  it('names every item with what it is to the change', async () => {
    await graph();
    expect(screen.getAllByRole('link').map((one) => one.querySelector('title')?.textContent)).toEqual([
      '200-0040 Pump tube, affected',
      '200-0010 Pump head, level 1',
      '110-0001 Spares kit, pump, sold, level 1',
      '100-0012 Heron 12 river sampler, sold, level 2',
    ]);
  });

  it('lights the ways through what is pointed at or reached by keys, and dims the rest', async () => {
    const user = await graph();
    await user.hover(nodeNamed(/200-0010/));
    expect([opacity(/200-0040/), opacity(/200-0010/), opacity(/100-0012/), opacity(/110-0001/)]).toEqual([
      '1',
      '1',
      '1',
      '0.25',
    ]);
    await user.unhover(nodeNamed(/200-0010/));
    expect(opacity(/110-0001/)).toBe('1');
    (nodeNamed(/110-0001/) as SVGElement).focus();
    await waitFor(() => expect(opacity(/200-0010/)).toBe('0.25'));
  });

  it('finds by words', async () => {
    const user = await graph();
    await user.type(screen.getByRole('textbox'), 'heron');
    expect(await screen.findByText(/, 1 match/)).toBeTruthy();
    expect([opacity(/200-0010/), opacity(/110-0001/)]).toEqual(['1', '0.25']);
  });

  it('opens an item by a click and by Enter', async () => {
    const user = await graph();
    (nodeNamed(/200-0010/) as SVGElement).focus();
    await user.keyboard('{Enter}');
    expect(address()).toBe('/items/200-0010');
  });

  it('says how many there are when not all are shown', async () => {
    await graph({ ...picture, total: 54_247 });
    expect(screen.getByText(/4 of 54 247 items/)).toBeTruthy();
  });
});
