import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import { useShortcut } from './useShortcut';

function Harness({ name, act, active = true }: { name: string; act: () => void; active?: boolean }) {
  useShortcut(name, act, active);
  return <input aria-label="Words" />;
}

describe('a key that does something', () => {
  it('does it anywhere but while somebody types', async () => {
    const act = vi.fn();
    render(<Harness name="n" act={act} />);
    const user = userEvent.setup();
    await user.keyboard('n');
    expect(act).toHaveBeenCalledOnce();
    await user.type(screen.getByLabelText('Words'), 'nut');
    expect(act).toHaveBeenCalledOnce();
  });

  it('does it with Ctrl also while somebody types, and tells Shift apart', async () => {
    const act = vi.fn();
    render(<Harness name="mod+z" act={act} />);
    const user = userEvent.setup();
    screen.getByLabelText('Words').focus();
    await user.keyboard('{Control>}z{/Control}');
    expect(act).toHaveBeenCalledOnce();
    await user.keyboard('{Control>}{Shift>}z{/Shift}{/Control}z');
    expect(act).toHaveBeenCalledOnce();
  });

  it('does nothing while it is not active', async () => {
    const act = vi.fn();
    render(<Harness name="n" act={act} active={false} />);
    await userEvent.setup().keyboard('n');
    expect(act).not.toHaveBeenCalled();
  });
});
