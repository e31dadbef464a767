import { useEffect, type ReactNode } from 'react';
import { Keep } from './Keep';
import { usePrintFoot } from './usePrintFoot';

interface Props {
  /** What the heading is called, and the window. */
  title: string;
  /** Whose page it is: it stands first in the title of the window, where a row of narrow tabs still shows it. */
  number?: string;
  /** Above the heading: the kind of thing, its number. */
  over?: ReactNode;
  /** Beside the heading: status and acts. */
  aside?: ReactNode;
  children: ReactNode;
}

/** One page for one thing. */
export function Page({ title, number, over, aside, children }: Props) {
  const whole = number === undefined || number === title ? title : `${number} ${title}`;
  useEffect(() => {
    document.title = `${whole} · Orthotaxis`;
  }, [whole]);
  usePrintFoot(whole);
  return (
    <main className="mx-auto max-w-[100rem] px-6 pt-4 pb-[calc(var(--foot,0px)+1.5rem)]">
      <header className="mb-4 flex flex-wrap items-end justify-between gap-x-6 gap-y-2">
        <div>
          {over !== undefined && <div className="text-sm text-soft">{over}</div>}
          <span className="flex items-center gap-1.5">
            <h1>{title}</h1>
            <Keep title={title} />
          </span>
        </div>
        {aside !== undefined && <div className="flex items-center gap-2">{aside}</div>}
      </header>
      {children}
    </main>
  );
}
