import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, told, type Schemas } from '../lib/api';
import { count, moment, languageName } from '../lib/format';
import { queries } from '../lib/queries';
import { useMay } from '../lib/session';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { Button } from '../ui/Button';
import { ProblemNotice } from '../ui/Notice';
import { Select } from '../ui/Select';

type Package = Schemas['PackageRow'];

const size = (bytes: number) =>
  bytes < 1_000_000 ? `${count(Math.ceil(bytes / 1000))} kB` : `${(bytes / 1_000_000).toFixed(1)} MB`;

/** All that an order released in one file: made by a worker, checked by anybody. */
export function ReleasePackages({ order }: { order: string }) {
  const may = useMay('release_order');
  const packages = useQuery(queries.packages(order));
  const [chosen, setChosen] = useState('');
  const make = useAct(touches.package, (of: string) =>
    told(api.POST('/api/orders/{number}/packages', { params: { path: { number: order } }, body: { language: of } })),
  );
  const known = packages.data;
  if (known === undefined) return null;
  const wanted = chosen === '' ? (known.languages[0] ?? 'en') : chosen;
  return (
    <section aria-label="Release package" className="space-y-1.5">
      <div className="flex flex-wrap items-center gap-3">
        <h3>Release package</h3>
        {may && (
          <span className="no-print flex items-center gap-2">
            <Select
              aria-label="Language of the package"
              className="!w-32"
              value={wanted}
              onChange={setChosen}
              options={Object.fromEntries(known.languages.map((one) => [one, languageName(one)]))}
            />
            <Button busy={make.isPending} onClick={() => make.mutate(wanted)}>
              Create package
            </Button>
          </span>
        )}
      </div>
      <ProblemNotice problem={make.error} />
      {known.packages.length === 0 ? (
        <p className="text-sm text-soft">
          Change notice, lists of what differs, stamped and original sheets, signatures and hand-over files in one
          signed ZIP. None was made yet.
        </p>
      ) : (
        <ul className="text-sm">
          {known.packages.map((one) => (
            <li key={one.id} className="flex flex-wrap items-baseline gap-x-3">
              <PackageLine order={order} one={one} may={may} />
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

function PackageLine({ order, one, may }: { order: string; one: Package; may: boolean }) {
  const cancel = useAct(touches.package, () =>
    told(api.DELETE('/api/orders/{number}/packages/{id}', { params: { path: { number: order, id: String(one.id) } } })),
  );
  const by = `${one.asked_by}, ${moment(one.asked_at)}`;
  switch (one.state) {
    case 'done':
      return (
        <>
          <a
            href={`/api/orders/${order}/packages/${one.id}/file`}
            download
            className="text-accent underline underline-offset-3"
          >
            {one.name}
          </a>
          <span className="text-soft">
            {languageName(one.language)}, {size(one.bytes)}, {by}
          </span>
          <span className="font-mono text-xs text-soft" title={`SHA-256 ${one.sha256}`}>
            {one.sha256?.slice(0, 12)} …
          </span>
        </>
      );
    case 'waiting':
    case 'making':
      return (
        <>
          <span role="status">
            {one.name} {one.state === 'waiting' ? 'waits for a worker …' : `is being made, ${one.progress} % …`}
          </span>
          {may && (
            <Button look="quiet" className="!h-6 !px-1" onClick={() => cancel.mutate(undefined)}>
              Cancel
            </Button>
          )}
        </>
      );
    case 'failed':
      return (
        <span className="text-warn">
          {one.name} could not be made: {one.fault} <span className="text-soft">{by}</span>
        </span>
      );
    case 'cancelled':
      return (
        <span className="text-soft">
          {one.name}, cancelled. {by}
        </span>
      );
  }
}
