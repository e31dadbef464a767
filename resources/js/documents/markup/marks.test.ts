import { describe, expect, it } from 'vitest';
import { inTheMiddle, moved, pathOf, textAt, type Mark, type Tool } from './marks';

const mark = (tool: Tool, text = ''): Mark => ({
  tool,
  points: [
    { x: 10, y: 20 },
    { x: 110, y: 20 },
  ],
  text,
});

describe('marks', () => {
  it('draws each form as a path', () => {
    expect(pathOf(mark('line'))).toBe('M 10.0 20.0 L 110.0 20.0');
    expect(
      pathOf({
        ...mark('freehand'),
        points: [
          { x: 1, y: 2 },
          { x: 3, y: 4 },
          { x: 5, y: 6 },
        ],
      }),
    ).toBe('M 1.0 2.0 L 3.0 4.0 L 5.0 6.0');
    // One head on an arrow, two heads and two ticks on a dimension.
    expect(pathOf(mark('arrow')).split('M ').length).toBe(3);
    expect(pathOf(mark('dimension')).split('M ').length).toBe(6);
    expect(pathOf(mark('text', 'Wear'))).toBe('');
    expect(pathOf({ tool: 'line', points: [], text: '' })).toBe('');
  });

  it('closes a cloud around its rectangle, whichever corner it is drawn from', () => {
    const cloud = (a: number[], b: number[]) =>
      pathOf({
        tool: 'cloud',
        points: [
          { x: a[0] ?? 0, y: a[1] ?? 0 },
          { x: b[0] ?? 0, y: b[1] ?? 0 },
        ],
        text: '',
      });
    expect(cloud([0, 0], [104, 52])).toBe(cloud([104, 52], [0, 0]));
    expect(cloud([0, 0], [104, 52]).endsWith('Z')).toBe(true);
    expect(cloud([0, 0], [104, 52]).split(' A ').length - 1).toBe(4 + 2 + 4 + 2);
  });

  it('moves a mark as a whole and puts text where it is read', () => {
    expect(moved(mark('line'), 5, -5).points).toEqual([
      { x: 15, y: 15 },
      { x: 115, y: 15 },
    ]);
    expect(textAt(mark('dimension'))).toEqual({ x: 60, y: 12 });
    expect(textAt(mark('text'))).toEqual({ x: 10, y: 20 });
    expect(inTheMiddle('text', 'x', 200, 100).points).toEqual([{ x: 100, y: 50 }]);
  });
});
