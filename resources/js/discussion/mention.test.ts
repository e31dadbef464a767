import { describe, expect, it } from 'vitest';
import { mentioned, mentionAt } from './mention';

describe('a name that is typed after an @', () => {
  it.each([
    ['Ask @mi', 7, 'mi'],
    ['@', 1, ''],
    ['Ask @mira.ok and', 12, 'mira.ok'],
    ['write to mira@example', 21, null],
    ['nobody', 6, null],
    ['@mira ', 6, null],
  ])('is found in “%s” at %i', (text, cursor, name) => {
    expect(mentionAt(text, cursor)).toBe(name);
  });

  it('is made whole, and the cursor goes behind it', () => {
    expect(mentioned('Ask @mi, please', 7, 'mira.okafor')).toEqual({
      text: 'Ask @mira.okafor , please',
      cursor: 17,
    });
    expect(mentioned('@he sees', 3, 'helen.marsh')).toEqual({ text: '@helen.marsh sees', cursor: 13 });
  });
});
