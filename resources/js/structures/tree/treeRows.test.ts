import { describe, expect, it } from 'vitest';
import { nextMatch, openBranches, visibleRows, type TreeRow } from './treeRows';

const row = (path: string, opens = false): TreeRow => {
  const number = path.split('/').at(-1) ?? '';
  return {
    path,
    level: path.split('/').length,
    line: {
      key: number,
      find: 10,
      revision: null,
      component: number,
      quantity: '1',
      unit: 'pc',
      designators: '',
      notes: number === 'b' ? 'with glue' : '',
      operation: null,
      scrap: '',
      takes_over: null,
      not_modelled: false,
      phantom: false,
      by_product: false,
      first_day: null,
      last_day: null,
    },
    item: {
      number,
      title: `Title of ${number}`,
      kind: 'Part',
      category: 'Pump',
      unit: 'pc',
      revision: 'A',
      status: 'in_force',
      coming: null,
      being_revised_by: [],
      sold: false,
      standard_cost: null,
      picture: null,
    },
    revision: 'A',
    status: 'in_force',
    opens,
    extended: '1',
    times: '1',
    holds: true,
    mark: null,
    order: null,
  };
};
const paths = (rows: TreeRow[]) => rows.map((one) => one.path);
const two = [row('a', true), row('a/b'), row('a/c', true), row('d')];

describe('a tree', () => {
  it('shows the levels that are open, and hides what is below a closed node', () => {
    expect(paths(visibleRows(two, { levels: 2, turned: new Map() }, new Map()))).toEqual(['a', 'a/b', 'a/c', 'd']);
    expect(paths(visibleRows(two, { levels: 2, turned: new Map([['a', false]]) }, new Map()))).toEqual(['a', 'd']);
  });

  it('asks for the lines of a node opened below the levels that came, and puts them under it', () => {
    const openness = { levels: 2, turned: new Map([['a/c', true]]) };
    expect(openBranches(two, openness, new Map())).toEqual([{ number: 'c', times: '1' }]);
    const branches = new Map([['c 1', [row('e'), row('f', true)]]]);
    expect(paths(visibleRows(two, openness, branches))).toEqual(['a', 'a/b', 'a/c', 'a/c/e', 'a/c/f', 'd']);
  });

  it('opens a fetched node in turn', () => {
    const openness = {
      levels: 2,
      turned: new Map([
        ['a/c', true],
        ['a/c/f', true],
      ]),
    };
    const branches = new Map([
      ['c 1', [row('f', true)]],
      ['f 1', [row('g')]],
    ]);
    expect(paths(visibleRows(two, openness, branches))).toEqual(['a', 'a/b', 'a/c', 'a/c/f', 'a/c/f/g', 'd']);
  });

  it('jumps to the next match and round again, in both directions', () => {
    expect(nextMatch(two, 'GLUE', 2, 1)).toBe(1);
    expect(nextMatch(two, 'title of', 3, 1)).toBe(0);
    expect(nextMatch(two, 'title of', 0, -1)).toBe(3);
    expect(nextMatch(two, 'nothing of the kind', 0, 1)).toBe(-1);
    expect(nextMatch(two, '  ', 0, 1)).toBe(-1);
  });
});
