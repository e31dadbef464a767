import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { letterKeys } from './letterKeys';
import { useShortcut } from './useShortcut';

function Harness({ name, act, active = true }: { name: string; act: () => void; active?: boolean }) {
  useShortcut(name, act, active);
  return (
    <>
      <input aria-label="Words" />
      <ul role="listbox" aria-label="Severity" tabIndex={0} />
      <table role="grid" aria-label="Lines" data-takes-letters tabIndex={0} />
      <button type="button">Elsewhere</button>
    </>
  );
}

beforeEach(() => letterKeys.set(true));

describe('keys that do something', () => {
  it('are two letters one after another; none acts by itself', async () => {
    const act = vi.fn();
    render(<Harness name="n r" act={act} />);
    const user = userEvent.setup();
    await user.keyboard('n');
    await user.keyboard('xr');
    expect(act).not.toHaveBeenCalled();
    await user.keyboard('nnr');
    expect(act).toHaveBeenCalledOnce();
  });

  it.each(['Words', 'Severity', 'Lines'])('rest where letters are typed or choose: %s', async (label) => {
    const act = vi.fn();
    render(<Harness name="n r" act={act} />);
    const user = userEvent.setup();
    screen.getByLabelText(label).focus();
    await user.keyboard('nr');
    expect(act).not.toHaveBeenCalled();
    screen.getByRole('button').focus();
    await user.keyboard('nr');
    expect(act).toHaveBeenCalledOnce();
  });

  it('can be switched off; those with Ctrl stay', async () => {
    const [letters, find] = [vi.fn(), vi.fn()];
    render(
      <>
        <Harness name="n r" act={letters} />
        <Harness name="mod+k" act={find} />
      </>,
    );
    letterKeys.set(false);
    await userEvent.setup().keyboard('nr{Control>}k{/Control}');
    expect(letters).not.toHaveBeenCalled();
    expect(find).toHaveBeenCalledOnce();
  });

  it('with Ctrl act anywhere, but what is undone in a field is what was typed there', async () => {
    const undo = vi.fn();
    render(<Harness name="mod+z" act={undo} />);
    const user = userEvent.setup();
    screen.getByLabelText('Words').focus();
    await user.keyboard('{Control>}z{/Control}');
    expect(undo).not.toHaveBeenCalled();
    screen.getByRole('button').focus();
    await user.keyboard('{Control>}z{/Control}');
    expect(undo).toHaveBeenCalledOnce();
    await user.keyboard('{Control>}{Shift>}z{/Shift}{/Control}z');
    expect(undo).toHaveBeenCalledOnce();
  });

  it('do nothing while they are not active', async () => {
    const act = vi.fn();
    render(<Harness name="n r" act={act} active={false} />);
    await userEvent.setup().keyboard('nr');
    expect(act).not.toHaveBeenCalled();
  });
});
