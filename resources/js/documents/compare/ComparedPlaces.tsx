import { useQuery } from '@tanstack/react-query';
import type { Schemas } from '../../lib/api';
import { queries } from '../../lib/queries';
import { Notice, ProblemNotice } from '../../ui/Notice';
import { Status } from '../../ui/Status';
import { useMarks } from '../marks/useMarks';
import { isAt, markOf, type Shares } from './markOf';
import { PlaceList } from './PlaceList';

interface Props {
  compared: Schemas['ComparedSheets'];
  /** What of the larger of both each sheet is; null: it has no such page. */
  was: Shares | null;
  is: Shares | null;
  shown: number | null;
  onShow: (number: number) => void;
}

/** What two sheets are, and the places at which they differ; a draft can be marked there. */
export function ComparedPlaces({ compared, was, is, shown, onShow }: Props) {
  const { before, after, page, places } = compared;
  const marks = useQuery(queries.sheetMarks(after.id)).data;
  const { set } = useMarks(after.id);
  const isMarked = (place: Schemas['SheetPlaceRow']) =>
    is !== null && marks?.marks.some((mark) => mark.page === page && isAt(mark, place, is)) === true;
  return (
    <section aria-labelledby="places" className="space-y-2">
      <dl className="grid grid-cols-[auto_1fr] gap-x-3 text-sm">
        <dt className="text-soft">Before</dt>
        <dd>
          <Status status={before.status} revision={before.revision} /> {before.name}
        </dd>
        <dt className="text-soft">After</dt>
        <dd>
          <Status status={after.status} revision={after.revision} /> {after.name}
        </dd>
      </dl>
      <p className="text-sm text-soft" aria-label="Signs">
        <span className="text-alarm">▨</span> hatched: gone · <span className="text-accent">■</span> full: come
      </p>
      {was !== null && is !== null && (was.width !== is.width || was.height !== is.height) && (
        <Notice look="warn">
          The sheets are not of one size: {Math.round(compared.width_before ?? 0)} ×{' '}
          {Math.round(compared.height_before ?? 0)} mm and {Math.round(compared.width_after ?? 0)} ×{' '}
          {Math.round(compared.height_after ?? 0)} mm. They are laid corner on corner.
        </Notice>
      )}
      <h2 id="places">
        {was === null || is === null
          ? `Only ${was === null ? 'the new' : 'the old'} sheet has page ${page}`
          : places.length === 0
            ? 'No differences on this page'
            : places.length === 1
              ? '1 place differs'
              : `${places.length} places differ`}
      </h2>
      {places.length > 0 && (
        <>
          <PlaceList
            places={places}
            shown={shown}
            onShow={onShow}
            isMarked={isMarked}
            onMark={marks?.may_set === true && is !== null ? (place) => set.mutate(markOf(place, is, page)) : undefined}
          />
          <ProblemNotice problem={set.error} />
          <p className="text-sm text-soft">
            Found {compared.by === 'drawn' ? 'element by element' : 'in the pictures of the page'}. Arrows walk the
            list; in the sheet, Page Down and Page Up.
          </p>
        </>
      )}
    </section>
  );
}
