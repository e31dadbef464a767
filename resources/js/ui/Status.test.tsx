import { render } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { Status } from './Status';

const told = (props: Parameters<typeof Status>[0]) => render(<Status {...props} />).container.textContent;
const coming = { code: 'G', first_day: '2026-12-08' };

describe('what an item is on the day', () => {
  it('tells what is in force, and what comes on which day', () => {
    expect(told({ status: 'in_force', revision: 'F', coming })).toBe('■Fin force· G from 8 Dec 2026');
    expect(told({ status: 'in_force', revision: 'F' })).toBe('■Fin force');
  });

  it('tells of what was never in force the day it will be, once', () => {
    expect(told({ status: 'coming', revision: 'G', coming })).toBe('◧Gcoming 8 Dec 2026');
  });

  it('tells who revises it now', () => {
    expect(told({ status: 'in_work', revisedBy: ['ECO-00089'] })).toBe('□in work· being revised, ECO-00089');
  });
});
