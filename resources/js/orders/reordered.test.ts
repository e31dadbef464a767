import { describe, expect, it } from 'vitest';
import { line, redlineRow } from '../testing/make';
import { item } from '../testing/make';
import { dropped, reordered } from './reordered';

const rows = [10, 20, 30, 40].map((find) => {
  const after = line(find, `600-${find}`, { key: `line ${find}` });
  return redlineRow(find, item(`600-${find}`, 'Part'), { key: `line ${find}`, before: after, after });
});
const [a, b, c, d] = rows as [(typeof rows)[0], (typeof rows)[0], (typeof rows)[0], (typeof rows)[0]];

describe('lines moved up and down', () => {
  it('stay what they are: the one they pass goes to the other side of them', () => {
    expect(reordered([b], rows, -1)).toEqual({ operation: 'change', line: 'line 10', fields: { find: '25' } });
    expect(reordered([b, c], rows, 1)).toEqual({ operation: 'change', line: 'line 40', fields: { find: '15' } });
    expect(reordered([c, d], rows, -1)).toEqual({ operation: 'change', line: 'line 20', fields: { find: '50' } });
    expect(reordered([a], rows, 1)).toEqual({ operation: 'change', line: 'line 20', fields: { find: '5' } });
  });

  it('say why they cannot be moved', () => {
    expect(reordered([a], rows, -1)).toBe('Nothing stands above.');
    expect(reordered([d], rows, 1)).toBe('Nothing stands below.');
    expect(reordered([a, c], rows, 1)).toContain('below each other');
    const close = rows.map((row, index) => ({ ...row, after: row.after && { ...row.after, find: index + 1 } }));
    expect(reordered([close[1] as typeof a], close, -1)).toContain('renumber');
  });
});

describe('lines dragged elsewhere', () => {
  it('get find numbers between those where they are dropped, and nothing else does', () => {
    expect(dropped([d], rows, b, 'above')).toEqual([{ operation: 'change', line: 'line 40', fields: { find: '15' } }]);
    expect(dropped([a, b], rows, d, 'below')).toEqual([
      { operation: 'change', line: 'line 10', fields: { find: '50' } },
      { operation: 'change', line: 'line 20', fields: { find: '60' } },
    ]);
    expect(dropped([d, c], rows, a, 'above')).toEqual([
      { operation: 'change', line: 'line 30', fields: { find: '3' } },
      { operation: 'change', line: 'line 40', fields: { find: '6' } },
    ]);
  });

  it('say why they cannot be there', () => {
    const close = rows.map((row, index) => ({ ...row, after: row.after && { ...row.after, find: index + 1 } }));
    expect(dropped([close[3] as typeof a], close, close[0] as typeof a, 'below')).toContain(
      'no room for 1 between 1 and 2',
    );
    expect(dropped([a], [b, c], b, 'above')).toContain('within one structure');
    expect(dropped([a], rows, { ...b, key: 'gone' }, 'above')).toContain('removed');
  });
});
