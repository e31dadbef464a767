import { useEffect, type ReactNode } from 'react';

/** What stands in place of a page for whoever is not signed in: the name of the product, and one form. */
export function Door({ title, children }: { title: string; children: ReactNode }) {
  useEffect(() => {
    document.title = `${title} · Orthotaxis`;
  }, [title]);
  return (
    <main className="mx-auto mt-[14vh] w-88 max-w-[92vw] pb-10">
      <div className="mb-1 flex items-center gap-2.5">
        <img src="/mark.svg" alt="" className="size-8" />
        <h1 className="text-2xl">Orthotaxis</h1>
      </div>
      <div aria-hidden="true" className="scale-x mb-6 h-2" />
      {children}
    </main>
  );
}
