import clsx from 'clsx';
import { useRef, type KeyboardEvent } from 'react';
import type { Schemas } from '../../lib/api';
import { Button } from '../../ui/Button';
import { Mark } from '../../ui/Mark';

type Place = Schemas['SheetPlaceRow'];

interface Props {
  places: Place[];
  /** Number of the one that is shown. */
  shown: number | null;
  onShow: (number: number) => void;
  /** Given, a mark of change can be set at a place. */
  onMark?: ((place: Place) => void) | undefined;
  isMarked?: (place: Place) => boolean;
}

/** The places at which two sheets differ; arrows walk them, and the sheets follow. */
export function PlaceList({ places, shown, onShow, onMark, isMarked }: Props) {
  const list = useRef<HTMLOListElement>(null);
  const onKey = (event: KeyboardEvent, at: number) => {
    const to = { ArrowDown: at + 1, ArrowUp: at - 1, Home: 0, End: places.length - 1 }[event.key];
    const place = to === undefined ? undefined : places[to];
    if (to === undefined) return;
    event.preventDefault();
    if (!place) return;
    onShow(place.number);
    list.current?.querySelectorAll<HTMLElement>('[data-place]')[to]?.focus();
  };
  const current = places.findIndex(({ number }) => number === shown);
  return (
    <ol
      ref={list}
      aria-label="Places"
      className="max-h-[calc(100vh-16rem)] overflow-y-auto border-y border-strong bg-sheet"
    >
      {places.map((place, at) => (
        <li key={place.number} className={`mark-${place.kind} border-b border-rule last:border-b-0`}>
          <button
            type="button"
            data-place
            aria-current={place.number === shown}
            tabIndex={at === Math.max(0, current) ? 0 : -1}
            onKeyDown={(event) => onKey(event, at)}
            onClick={() => onShow(place.number)}
            className={clsx(
              'block w-full px-2 py-1 text-left hover:bg-well',
              place.number === shown && 'bg-accent-soft',
            )}
          >
            <span className="flex items-baseline gap-3">
              <span className="w-6 text-right tabular-nums">{place.number}</span>
              <span className="w-8 font-mono text-sm">{place.zone}</span>
              <Mark value={place.kind} word />
            </span>
            {(place.went.length > 0 || place.came.length > 0) && (
              <span className="mt-0.5 ml-9 block text-sm">
                {place.went.length > 0 && (
                  <del className="text-soft decoration-1">
                    <span className="sr-only">gone: </span>
                    {place.went.join(' · ')}
                  </del>
                )}{' '}
                {place.came.length > 0 && (
                  <ins className="font-semibold no-underline">
                    <span className="sr-only">come: </span>
                    {place.came.join(' · ')}
                  </ins>
                )}
              </span>
            )}
          </button>
          {isMarked?.(place) ? (
            <span className="mb-1 ml-11 block text-sm text-soft">◁ marked</span>
          ) : (
            onMark &&
            place.number === shown && (
              <Button look="quiet" className="mb-1 ml-9 !h-6" onClick={() => onMark(place)}>
                Set a mark of change
              </Button>
            )
          )}
        </li>
      ))}
    </ol>
  );
}
