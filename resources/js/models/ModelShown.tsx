import { useQuery } from '@tanstack/react-query';
import clsx from 'clsx';
import { lazy, Suspense, useMemo, useState } from 'react';
import type { Schemas } from '../lib/api';
import { count } from '../lib/format';
import { queries } from '../lib/queries';
import { Notice } from '../ui/Notice';
import { compareSolids } from './compareSolids';
import { hasWebGl } from './hasWebGl';
import { PartList } from './PartList';
import { bodiesOf, partsOf } from './parts';
import { Reading } from './Reading';
import { useModel } from './useModel';

// Three dimensions are loaded when there is something to show in them.
const ModelView = lazy(async () => ({ default: (await import('./ModelView')).ModelView }));

interface Props {
  number: string;
  file: Schemas['FileRow'];
  /** The model that it is compared with; null: none. */
  older: Schemas['FileRow'] | null;
  /** The day of the structure beside it. */
  on: string;
}

/** A model with its parts beside it: what is chosen in one is lit up in the other. */
export function ModelShown({ number, file, older, on }: Props) {
  const model = useModel(file.id);
  const before = useModel(older?.id ?? null);
  const tree = useQuery(queries.tree(number, { on, kind: 'engineering', levels: '30' }));
  const [chosen, setChosen] = useState<string | null>(null);
  const [hidden, setHidden] = useState<ReadonlySet<string>>(new Set());
  const changes = useMemo(
    () =>
      older !== null && before.solids !== null && model.solids !== null
        ? compareSolids(before.solids, model.solids)
        : null,
    [older, before.solids, model.solids],
  );
  const solids = model.solids;
  const rows = tree.data?.rows;
  const parts = useMemo(() => partsOf(solids ?? [], changes, rows ?? []), [solids, changes, rows]);
  const bodies = useMemo(() => {
    const lit =
      chosen === null ? null : new Set([chosen, ...(parts.find((one) => one.number === chosen)?.below ?? [])]);
    return solids === null ? [] : bodiesOf(solids, changes, lit, hidden);
  }, [solids, changes, chosen, hidden, parts]);
  const onHide = (part: string, hide: boolean) =>
    setHidden((was) => new Set(hide ? [...was, part] : [...was].filter((one) => one !== part)));
  if (solids === null || (older !== null && changes === null)) {
    return (
      <>
        <Reading file={file} model={model} />
        {older !== null && <Reading file={older} model={before} />}
      </>
    );
  }
  const inThree = hasWebGl();
  const undrawn = model.undrawn + (older === null ? 0 : before.undrawn);
  return (
    <div className="space-y-3">
      {undrawn > 0 && (
        <Notice>
          {count(undrawn)} more {undrawn === 1 ? 'body' : 'bodies'} could not be drawn: the model is too large for this
          browser.
        </Notice>
      )}
      {!inThree && (
        <Notice>This browser shows nothing in three dimensions (WebGL). The parts of the model are listed.</Notice>
      )}
      <div className={clsx('grid items-start gap-4', inThree && 'lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]')}>
        {inThree && (
          <Suspense>
            <ModelView
              bodies={bodies}
              compared={changes !== null}
              onPick={(key) => setChosen(bodies.find((body) => body.key === key)?.solid.number ?? null)}
            />
          </Suspense>
        )}
        <PartList
          parts={parts}
          compared={changes !== null}
          chosen={chosen}
          hidden={hidden}
          onChoose={setChosen}
          onHide={inThree ? onHide : null}
        />
      </div>
    </div>
  );
}
