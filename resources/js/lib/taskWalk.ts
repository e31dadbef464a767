import { placeOf } from './places';
import { isRecord, readKept, writeKept } from './storage';
import { store } from './store';

/** One change with what is to be done about it, as the Desk listed it. */
export interface Stop {
  number: string;
  todo: string;
}

const isStop = (one: unknown): one is Stop =>
  isRecord(one) && typeof one.todo === 'string' && typeof one.number === 'string';

const changed = store(0);

/**
 * What is to be done, in the order somebody saw it on the Desk, walked one after the other from any of its pages. A change
 * that is named twice is one stop, with both things to do.
 */
export const taskWalk = {
  begin(tasks: Stop[]): void {
    const stops = new Map<string, Set<string>>();
    for (const { number, todo } of tasks) stops.set(number, (stops.get(number) ?? new Set()).add(todo));
    writeKept(
      'tasks',
      [...stops].map(([number, todos]) => ({ number, todo: [...todos].join('; ') })),
    );
    changed.set(changed.get() + 1);
  },
  /** Where a page stands in the walk; null when it is none of its stops. */
  useAt(path: string) {
    changed.use();
    const kept = readKept('tasks');
    const stops = Array.isArray(kept) ? kept.filter(isStop) : [];
    const at = stops.findIndex(({ number }) => path === placeOf(number) || path.startsWith(`${placeOf(number)}/`));
    const here = stops[at];
    if (here === undefined || stops.length < 2) return null;
    return { here, at, stops, previous: stops[at - 1], next: stops[at + 1] };
  },
};
