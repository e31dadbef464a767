import { useSearchParams } from 'react-router';

/** What is looked for stands in the address: its parts by name, how one reads, and how one is set. Empty or '-' is no filter. */
export function useAddressFilters() {
  const [params, setParams] = useSearchParams();
  return {
    asked: Object.fromEntries(params),
    value: (name: string) => params.get(name) ?? '',
    set: (name: string, next: string) =>
      setParams(
        (before) => {
          if (next === '' || next === '-') before.delete(name);
          else before.set(name, next);
          return before;
        },
        { replace: true },
      ),
    clear: () => setParams({}, { replace: true }),
  };
}
