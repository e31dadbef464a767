import type { Schemas } from '../lib/api';

type Document = Schemas['CutInDocument'];

/** What a day means for a document; null: nothing. */
export function effect(one: Document, on: string, kept: string[]): string | null {
  switch (one.role) {
    case 'straddles':
      return one.first !== null && one.due !== null && one.first < on && on < one.due
        ? 'in progress on that day'
        : null;
    case 'waits':
      return one.first !== null && one.due !== null && one.first < on && on < one.due ? 'planned, can wait' : null;
    case 'comes':
      return one.overdue ? 'overdue' : 'arrives';
    case 'goes':
      if (kept.includes(one.document)) return 'arrives, not cancelled';
      if (one.cancel_fee !== null) return 'can be cancelled';
      return one.overdue ? 'overdue' : 'arrives, cannot be cancelled';
  }
}
