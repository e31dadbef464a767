import { api, type Schemas } from './api';

export type TableLayout = Schemas['TableLayout'];

/** Milliseconds: a column that is dragged is laid out once. */
const REST = 600;
const PLAIN: TableLayout = { order: [], visibility: {}, sizing: {} };

let layouts: Record<string, TableLayout> = {};
let taken: object | null = null;
const resting = new Map<string, ReturnType<typeof setTimeout>>();

/** How this person lays out tables, on whatever machine they sit. The server keeps it; what is changed here counts at once. */
export const tableLayouts = {
  /** What the server says of the person who is signed in. */
  take(said: Record<string, TableLayout>): void {
    if (said === taken) return;
    taken = said;
    layouts = { ...said };
  },
  read: (name: string): TableLayout => layouts[name] ?? PLAIN,
  write(name: string, layout: TableLayout): void {
    layouts[name] = layout;
    clearTimeout(resting.get(name));
    // Not saved is not lost: it holds on this page, and is saved with the next change.
    const save = () =>
      api.PUT('/api/table-layouts/{name}', { params: { path: { name } }, body: layout }).catch(() => null);
    resting.set(
      name,
      setTimeout(() => void save(), REST),
    );
  },
};
