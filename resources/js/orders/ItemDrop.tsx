import clsx from 'clsx';
import { useState, type DragEvent, type ReactNode } from 'react';

interface Props {
  /** Null: nothing can be dropped here now. */
  onItems: ((numbers: string[]) => void) | null;
  children: ReactNode;
}

const LINKS = 'text/uri-list';

/** The numbers of items of which links are dragged: from a search, a table, another window. */
export function itemsIn(links: string): string[] {
  const numbers = links.split(/\r?\n/).flatMap((link) => {
    const path = URL.canParse(link) && new URL(link).origin === window.location.origin ? new URL(link).pathname : '';
    const number = /^\/items\/([^/]+)$/.exec(path)?.[1];
    return number === undefined ? [] : [decodeURIComponent(number)];
  });
  return [...new Set(numbers)];
}

/** A place where items are dropped: every number of an item, on whichever page it stands, can be dragged here. */
export function ItemDrop({ onItems, children }: Props) {
  const [over, setOver] = useState(false);
  if (onItems === null) return children;
  const take = (event: DragEvent) => {
    if (!event.dataTransfer.types.includes(LINKS)) return;
    event.preventDefault();
    setOver(true);
  };
  return (
    <div
      className={clsx(over && 'outline-2 outline-offset-2 outline-accent outline-dashed')}
      onDragEnter={take}
      onDragOver={take}
      onDragLeave={(event) => {
        if (!event.currentTarget.contains(event.relatedTarget as Node | null)) setOver(false);
      }}
      onDrop={(event) => {
        setOver(false);
        const numbers = itemsIn(event.dataTransfer.getData(LINKS));
        if (numbers.length === 0) return;
        event.preventDefault();
        onItems(numbers);
      }}
    >
      {children}
      {over && <p className="px-2 py-1 text-sm text-accent">Drop to add it to the order</p>}
    </div>
  );
}
