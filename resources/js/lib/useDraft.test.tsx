import { act, renderHook } from '@testing-library/react';
import { beforeEach, describe, expect, it } from 'vitest';
import { keepFor } from './storage';
import { useDraft } from './useDraft';

beforeEach(() => keepFor(''));

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
    expect(localStorage.getItem(':draft:request')).toBeNull();
  });

  it('has what was added to it since, where an older draft lacks it', () => {
    localStorage.setItem(':draft:request', JSON.stringify({ base: '', value: { title: 'Old' } }));
    expect(renderHook(() => useDraft('request', empty)).result.current.value).toEqual({ title: 'Old', items: [] });
  });

  it.each([
    ['no JSON', '{"base":'],
    ['a list', '[]'],
    ['null', 'null'],
    ['fields of another kind', '{"base":"","value":{"title":7,"items":"none","colour":"red"}}'],
  ])('is as if it were not there when it is damaged: %s', (_, text) => {
    localStorage.setItem(':draft:request', text);
    expect(renderHook(() => useDraft('request', empty)).result.current.value).toEqual(empty);
  });

  it('is not laid over what somebody else saved meanwhile, but offered', () => {
    const first = renderHook(() => useDraft('finding', { finding: 'Old.' }, 'Old.'));
    act(() => first.result.current.change({ finding: 'Mine.' }));
    first.unmount();
    const again = renderHook(() => useDraft('finding', { finding: 'Theirs.' }, 'Theirs.'));
    expect(again.result.current.value).toEqual({ finding: 'Theirs.' });
    expect(again.result.current.older).toEqual({ finding: 'Mine.' });
    act(() => again.result.current.change({ finding: 'Mine.' }));
    expect(again.result.current.older).toBeNull();
  });

  it('is gone when what was typed has been saved, whoever saved it', () => {
    const draft = renderHook(({ saved }) => useDraft('finding', { finding: saved }, saved), {
      initialProps: { saved: 'Old.' },
    });
    act(() => draft.result.current.change({ finding: 'New.' }));
    draft.rerender({ saved: 'New.' });
    expect(draft.result.current).toMatchObject({ value: { finding: 'New.' }, older: null });
    expect(localStorage.getItem(':draft:finding')).toBeNull();
  });

  it('belongs to one person, and what was kept before people were told apart is nobody’s', () => {
    localStorage.setItem('draft:request', 'x');
    localStorage.setItem('recent', 'x');
    keepFor('mira.okafor');
    expect(Object.keys(localStorage)).toEqual([]);
    const hers = renderHook(() => useDraft('request', empty));
    act(() => hers.result.current.change({ title: 'Hers' }));
    keepFor('tomas.lind');
    expect(renderHook(() => useDraft('request', empty)).result.current.value).toEqual(empty);
    keepFor('mira.okafor');
    expect(renderHook(() => useDraft('request', empty)).result.current.value.title).toBe('Hers');
    keepFor('');
  });
});
