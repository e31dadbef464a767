import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { SaveAs } from './SaveAs';

const open = async (formats: Parameters<typeof SaveAs>[0]['formats'], query = 'on=2026-11-25&kind=engineering') => {
  const user = userEvent.setup();
  render(<SaveAs address="/api/items/200-0010/structure" query={query} formats={formats} />);
  await user.click(screen.getByRole('button', { name: /^Save as/ }));
  return user;
};

describe('saving what is on screen', () => {
  it('offers the formats there are, each with all that the page asks for', async () => {
    await open(['csv', 'xlsx', 'pdf']);
    const offered = await screen.findAllByRole('menuitem');
    expect(offered.map((one) => [one.textContent, one.getAttribute('href')])).toEqual([
      ['CSV', '/api/items/200-0010/structure/csv?on=2026-11-25&kind=engineering'],
      ['XLSX, for spreadsheets', '/api/items/200-0010/structure/xlsx?on=2026-11-25&kind=engineering'],
      ['PDF, to print', '/api/items/200-0010/structure/pdf?on=2026-11-25&kind=engineering'],
    ]);
    expect(offered.every((one) => one.hasAttribute('download'))).toBe(true);
  });

  it('is chosen by keys, and closed without', async () => {
    const user = await open(['csv', 'json']);
    await user.keyboard('{ArrowDown}{ArrowDown}');
    expect(document.activeElement?.textContent).toBe('JSON');
    await user.keyboard('{Escape}');
    expect(screen.queryByRole('menuitem')).toBeNull();
    expect(document.activeElement?.textContent).toMatch(/^Save as/);
  });
});
