import { screen, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schemas } from '../lib/api';
import { Refused, server } from '../testing/server';
import { address, show } from '../testing/show';
import { FEW, laidOut } from './laidOut';
import { RelationsPage } from './RelationsPage';

const related = (number: string, type: string, more: Partial<Schemas['RelatedRow']> = {}): Schemas['RelatedRow'] => ({
  number,
  type,
  title: `Title of ${number}`,
  state: null,
  address: '',
  ...more,
});
const tie = (words: string, way: 'in' | 'out', some: Schemas['RelatedRow'][], total = some.length) => ({
  tie: words,
  way,
  words,
  total,
  related: some,
});

async function open(ties: Schemas['RelationRow'][]) {
  server.on('GET /api/favourites', []).on('GET /api/relations/ECO-00090', {
    number: 'ECO-00090',
    type: 'order',
    title: 'Thicker tube',
    state: 'revising',
    ties,
  });
  const user = await show(<RelationsPage />, { at: '/relations/ECO-00090', path: '/relations/:number' });
  await screen.findByRole('heading', { level: 1, name: 'Thicker tube' });
  return user;
}

describe('the relations of a record', () => {
  it('are a list with kind and direction of each tie, and with records elsewhere', async () => {
    await open([
      tie('came from', 'in', [related('ECR-00096', 'request', { state: 'ordered' })]),
      tie('names', 'out', [related('200-0010', 'item')], 60),
      tie('refers to', 'out', [related('P-7', 'project', { address: 'https://projects.example/7' })]),
    ]);
    const list = within(screen.getByRole('grid', { name: 'What ECO-00090 is tied to' }));
    const rows = list.getAllByRole('row').slice(1);
    expect(rows.map((row) => row.textContent)).toEqual([
      'came fromECR-00096Title of ECR-00096Change requestorder raised',
      'names200-0010Title of 200-0010Item',
      'refers toP-7Title of P-7Project',
    ]);
    expect(list.getByRole('link', { name: 'P-7' }).getAttribute('href')).toBe('https://projects.example/7');
    expect(screen.getByText('3 of 62 ties')).toBeTruthy();
  });

  it('are a picture that is walked: what is pressed is in the middle next', async () => {
    const user = await open([tie('names', 'out', [related('200-0010', 'item')])]);
    const picture = within(screen.getByRole('group', { name: /as a picture/ }));
    server.on('GET /api/relations/200-0010', {
      number: '200-0010',
      type: 'item',
      title: 'Pump head',
      state: null,
      ties: [],
    });
    await user.click(picture.getByRole('link'));
    expect(await screen.findByRole('heading', { level: 1, name: 'Pump head' })).toBeTruthy();
    expect(address()).toBe('/relations/200-0010');
    expect(screen.getByText('It is tied to nothing yet.')).toBeTruthy();
  });

  it('say that there is no such record', async () => {
    server
      .on('GET /api/favourites', [])
      .on('GET /api/relations/X-1', new Refused(404, 'There is nothing of this number here.'));
    await show(<RelationsPage />, { at: '/relations/X-1', path: '/relations/:number' });
    expect(await screen.findByText('There is nothing of this number here.')).toBeTruthy();
  });
});

describe('where each stands', () => {
  it('puts what leads here on the left and what it leads to on the right, none over another, a few of each kind', () => {
    const many = Array.from({ length: 30 }, (_, index) => related(`600-${index}`, 'item'));
    const { places, groups, middle, box, height } = laidOut(
      [tie('came from', 'in', [related('ECR-1', 'request')]), tie('names', 'out', many), tie('uses', 'out', many)],
      1000,
    );
    expect(places).toHaveLength(1 + 2 * FEW);
    expect(groups.map(({ shown, total }) => [shown, total])).toEqual([
      [1, 1],
      [FEW, 30],
      [FEW, 30],
    ]);
    const right = places.filter(({ way }) => way === 'out').map(({ y }) => y);
    expect(right.every((y, index) => index === 0 || y - (right[index - 1] ?? 0) >= 22)).toBe(true);
    expect(places[0]?.x ?? 0).toBeLessThan(middle.x - box);
    expect(Math.min(...places.filter(({ way }) => way === 'out').map(({ x }) => x))).toBeGreaterThan(middle.x + box);
    expect(Math.max(...right)).toBeLessThan(height);
  });
});
