import type { Schemas } from '../../lib/api';

type Place = Schemas['SheetPlaceRow'];

/** What of the larger of both sheets the new one is. */
export interface Shares {
  width: number;
  height: number;
}

/** The tip of a mark stands at the right edge of a place, in the middle of its height. */
function tip(place: Place, of: Shares) {
  return {
    left: Math.min(1, (place.left + place.width) / of.width),
    top: Math.min(1, (place.top + place.height / 2) / of.height),
  };
}

/** A mark of change at a place, told by what went and what came. */
export function markOf(place: Place, of: Shares, page: number) {
  const texts = [place.went.join(' · '), place.came.join(' · ')].filter((text) => text !== '').join(' → ');
  return { page, ...tip(place, of), note: (texts === '' ? place.kind : texts).slice(0, 200) };
}

/** Of a page: so near to where its mark would be set, a mark belongs to a place. */
const NEAR = 0.02;

/** Whether a mark stands at a place. */
export function isAt(mark: { left: number; top: number }, place: Place, of: Shares): boolean {
  const at = tip(place, of);
  return Math.abs(mark.left - at.left) < NEAR && Math.abs(mark.top - at.top) < NEAR;
}
