import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import type { Schemas } from '../../lib/api';
import { queries } from '../../lib/queries';
import { useAddressFilters } from '../../lib/useAddressFilters';
import { Choice } from '../../ui/Choice';
import { Loading } from '../../ui/Loading';
import { ItemNumber } from '../../ui/Num';
import { Page } from '../../ui/Page';
import { MarksOver } from '../marks/MarksOver';
import { PageTurner } from '../PageTurner';
import { PanFrame } from '../PanFrame';
import { ComparedPlaces } from './ComparedPlaces';
import { LaidOver } from './LaidOver';
import { PlaceBoxes } from './PlaceBoxes';

type Compared = Schemas['ComparedSheets'];

/** Pixels: so wide are pages drawn that are laid over each other. */
const WIDTH = 2000;

const views = { over: 'Laid over', side: 'Side by side', differences: 'Differences' };

/** Two sheets of an item, and where they differ. */
export function SheetComparisonPage() {
  const { number = '' } = useParams();
  const { asked } = useAddressFilters();
  const item = useQuery(queries.item(number));
  const page = Math.max(1, Number(asked.page) || 1);
  const compared = useQuery(queries.comparedSheets(asked.before ?? '', asked.after ?? '', page));
  return (
    <Page
      title={`Sheets of ${item.data?.item.title ?? number}`}
      number={number}
      over={
        <span>
          <ItemNumber number={number} />
        </span>
      }
      aside={
        <Link to={`/items/${number}/sheet?file=${asked.after ?? ''}`} className="text-accent hover:underline">
          Show the new sheet alone
        </Link>
      }
    >
      <Loading query={compared}>{(told) => <Sheets key={`${told.before.id} ${told.page}`} compared={told} />}</Loading>
    </Page>
  );
}

function Sheets({ compared }: { compared: Compared }) {
  const { asked, set } = useAddressFilters();
  const { before, after, page, places } = compared;
  const view = asked.view === 'side' || asked.view === 'differences' ? asked.view : 'over';
  const shown = Number(asked.place) || null;
  // A place that the address names is led to at once.
  const [goTo, setGoTo] = useState(() => places.find(({ number }) => number === shown) ?? null);
  const onShow = (number: number) => {
    const place = places.find((one) => one.number === number);
    if (!place) return;
    set('place', String(number));
    setGoTo({ ...place });
  };
  const walk = (by: number) => onShow(Math.min(places.length, Math.max(1, (shown ?? (by > 0 ? 0 : 2)) + by)));
  const pages = Math.max(compared.pages_before, compared.pages_after);
  const turn = (to: number) => {
    set('place', '');
    set('page', String(to));
  };
  const width = Math.max(compared.width_before ?? 0, compared.width_after ?? 0);
  const height = Math.max(compared.height_before ?? 0, compared.height_after ?? 0);
  const shares = (wide: number | null, high: number | null) =>
    wide === null || high === null ? null : { width: wide / width, height: high / height };
  const [was, is] = [
    shares(compared.width_before, compared.height_before),
    shares(compared.width_after, compared.height_after),
  ];
  const address = (file: Schemas['FileRow']) => `/api/files/${file.id}/page?page=${page}&width=${WIDTH}`;
  const name = (file: Schemas['FileRow']) => (file.revision === null ? 'draft' : `revision ${file.revision}`);
  const alone = (file: Schemas['FileRow'], of: typeof was) => ({
    label: `${file.name}, ${name(file)}`,
    show: (scale: number) =>
      of === null ? (
        <p className="p-6 text-soft">It has no page {page}.</p>
      ) : (
        <div className="relative bg-white" style={{ width: `${of.width * 100}%` }}>
          <img src={address(file)} alt={`${file.name}, page ${page}`} draggable={false} className="block w-full" />
          <PlaceBoxes places={places} shown={shown} shares={of} scale={scale} />
          {file === after && <MarksOver file={file.id} page={page} scale={scale} />}
        </div>
      ),
  });
  const panes =
    view === 'side'
      ? [alone(before, was), alone(after, is)]
      : [
          {
            label: `${name(before)} and ${name(after)} in one`,
            show: (scale: number) => (
              <div className="relative">
                <LaidOver
                  before={was && { address: address(before), share: was.width }}
                  after={is && { address: address(after), share: is.width }}
                  how={view}
                  width={WIDTH}
                  alt={`Page ${page} of both sheets: ${places.length} places differ`}
                />
                <PlaceBoxes places={places} shown={shown} scale={scale} />
              </div>
            ),
          },
        ];
  return (
    <div className="grid gap-6 xl:grid-cols-[minmax(0,1fr)_22rem]">
      <PanFrame
        panes={panes}
        goTo={goTo}
        keys={{ PageDown: () => walk(1), PageUp: () => walk(-1) }}
        tools={
          <>
            <span className="ml-3">
              <Choice label="View" value={view} options={views} onChange={(next) => set('view', next)} />
            </span>
            <PageTurner page={page} pages={pages} onTurn={turn} />
          </>
        }
      />
      <ComparedPlaces compared={compared} was={was} is={is} shown={shown} onShow={onShow} />
    </div>
  );
}
