import clsx from 'clsx';
import type { Schemas } from '../../lib/api';
import { marks } from '../../lib/words';

/** The frame of a place says how it differs by its form, not by its colour alone. */
const looks = {
  added: 'border-solid border-[#0b6158]',
  removed: 'border-dashed border-[#9c2a1a]',
  changed: 'border-dotted border-[#7d4b00]',
};

interface Props {
  places: Schemas['SheetPlaceRow'][];
  shown: number | null;
  /** The sheet is a part of the larger of both: of its width, and of its height. */
  shares?: { width: number; height: number };
  scale: number;
}

/** Frames around the places at which two sheets differ, over a page. What they say stands in the list. */
export function PlaceBoxes({ places, shown, shares = { width: 1, height: 1 }, scale }: Props) {
  const percent = (share: number) => `${share * 100}%`;
  return (
    <div aria-hidden className="pointer-events-none absolute inset-0">
      {places.map((place) => (
        <div
          key={place.number}
          className={clsx('absolute', looks[place.kind], place.number === shown && 'bg-[#f4c95d]/25')}
          style={{
            left: percent(place.left / shares.width),
            top: percent(place.top / shares.height),
            width: percent(place.width / shares.width),
            height: percent(place.height / shares.height),
            borderWidth: (place.number === shown ? 3 : 1.5) / scale,
          }}
        >
          <span
            className="absolute bottom-full left-0 origin-bottom-left bg-[#fffef9] px-0.5 text-[10px] leading-3 font-semibold whitespace-nowrap text-[#1f2421]"
            style={{ transform: `scale(${1 / scale})` }}
          >
            {marks[place.kind].sign} {place.number}
          </span>
        </div>
      ))}
    </div>
  );
}
