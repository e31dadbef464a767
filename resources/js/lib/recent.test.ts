import { describe, expect, it } from 'vitest';
import { recents, remember } from './recent';

describe('what was opened of late', () => {
  it('is told newest first, each page once, by what it is called now', () => {
    remember('/items/200-0010', '200-0010 Pump head');
    remember('/changes/ECR-00096', 'ECR-00096 Tube');
    remember('/items/200-0010', '200-0010 Pump head, complete');
    expect(recents()).toEqual([
      { address: '/items/200-0010', label: '200-0010 Pump head, complete' },
      { address: '/changes/ECR-00096', label: 'ECR-00096 Tube' },
    ]);
  });

  it('is forgotten after a dozen', () => {
    for (let at = 0; at < 20; at++) remember(`/items/${at}`, String(at));
    expect(recents()).toHaveLength(12);
    expect(recents()[0]?.label).toBe('19');
    expect(recents().at(-1)?.label).toBe('8');
  });

  it('is nothing at first', () => {
    expect(recents()).toEqual([]);
  });
});
