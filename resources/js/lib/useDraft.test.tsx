import { act, renderHook } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { useDraft } from './useDraft';

const empty = { title: '', items: [] as string[] };

describe('text that is typed and not saved yet', () => {
  it('survives a closed tab', () => {
    const first = renderHook(() => useDraft('request', empty));
    act(() => first.result.current.change({ title: 'Half a sen' }));
    act(() => first.result.current.change({ items: ['200-0040'] }));
    first.unmount();
    const again = renderHook(() => useDraft('request', empty));
    expect(again.result.current.value).toEqual({ title: 'Half a sen', items: ['200-0040'] });
  });

  it('is kept under its own name', () => {
    const one = renderHook(() => useDraft('one', empty));
    act(() => one.result.current.change({ title: 'One' }));
    expect(renderHook(() => useDraft('other', empty)).result.current.value).toEqual(empty);
  });

  it('is gone when it was saved', () => {
    const draft = renderHook(() => useDraft('request', empty));
    act(() => draft.result.current.change({ title: 'Saved' }));
    act(() => draft.result.current.clear());
    expect(draft.result.current.value).toEqual(empty);
    expect(localStorage.getItem('draft:request')).toBeNull();
  });

  it('has what was added to it since, where an older draft lacks it', () => {
    localStorage.setItem('draft:request', JSON.stringify({ title: 'Old' }));
    expect(renderHook(() => useDraft('request', empty)).result.current.value).toEqual({ title: 'Old', items: [] });
  });
});
