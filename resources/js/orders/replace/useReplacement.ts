import { useMemo } from 'react';
import { useSearchParams } from 'react-router';

export interface Incoming {
  number: string;
  /** How many take the place of one; as typed. */
  ratio: string;
}

export type Asked = 'old' | 'new' | 'from' | 'product' | 'category' | 'work';

/** "200-0041:2,200-0043", as the address and the server write it. */
export function written(coming: Incoming[]): string {
  return coming.map(({ number, ratio }) => (ratio === '1' ? number : `${number}:${ratio}`)).join(',');
}

export function comingOf(text: string): Incoming[] {
  return text
    .split(',')
    .filter((part) => part.trim() !== '')
    .map((part) => {
      const [number = '', ratio = '1'] = part.trim().split(':');
      return { number, ratio };
    });
}

/** What is replaced by what, and where: all of it stands in the address. */
export function useReplacement() {
  const [params, setParams] = useSearchParams();
  const text = params.toString();
  const asked = useMemo(() => {
    const of = new URLSearchParams(text);
    const read = (name: Asked) => of.get(name) ?? '';
    return {
      old: read('old'),
      new: read('new'),
      from: read('from'),
      product: read('product'),
      category: read('category'),
      work: read('work'),
    };
  }, [text]);
  const set = (name: Asked, value: string) =>
    setParams(
      (before) => {
        if (value === '') before.delete(name);
        else before.set(name, value);
        return before;
      },
      { replace: true },
    );
  return { asked, coming: comingOf(asked.new), set };
}
