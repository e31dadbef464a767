import { useIsFetching, useQuery } from '@tanstack/react-query';
import clsx from 'clsx';
import { useEffect, useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import type { Schemas } from '../lib/api';
import { amount, day, quantity, today } from '../lib/format';
import { queries } from '../lib/queries';
import { remember } from '../lib/recent';
import { useMay } from '../lib/session';
import { Documents } from '../documents/Documents';
import { FIRST_PLANT, plants } from '../lib/plants';
import { kinds, type Picture } from '../lib/words';
import { currency } from '../lib/settings';
import { Accounts } from '../manufacturing/Accounts';
import { BuiltCost } from '../manufacturing/BuiltCost';
import { OperationsOfItem } from '../manufacturing/OperationsOfItem';
import { Routing } from '../manufacturing/Routing';
import { Choice } from '../ui/Choice';
import { Facts } from '../ui/Facts';
import { Loading } from '../ui/Loading';
import { Discussion } from '../discussion/Discussion';
import { RelationsLink } from '../relations/RelationsLink';
import { MainLink } from '../ui/MainLink';
import { Notice } from '../ui/Notice';
import { ChangeNumber, ItemNumber } from '../ui/Num';
import { Page } from '../ui/Page';
import { WatchButton } from '../notices/WatchButton';
import { Select } from '../ui/Select';
import { Status } from '../ui/Status';
import { History } from './History';
import { ItemData } from './ItemData';
import { NamingChanges } from './NamingChanges';
import { OlderUses } from './OlderUses';
import { Summary } from './Summary';
import { TimeRuler } from './TimeRuler';
import { StructureView } from './tree/StructureView';
import { WhereUsed } from './WhereUsed';

/** What operations refer to besides what they use up. */
const NAMED_BY_OPERATIONS = ['Tool', 'Document', 'Drawing'];

/** One item: what it is made of on a day, where it is used, which changes name it, and its history. */
export function ItemPage() {
  const { number = '' } = useParams();
  const item = useQuery(queries.item(number));
  return item.data ? (
    <ItemView page={item.data} />
  ) : (
    <Page title={number}>
      <Loading query={item}>{() => null}</Loading>
    </Page>
  );
}

function ItemView({ page }: { page: Schemas['ItemPage'] }) {
  const { item } = page;
  const [params, setParams] = useSearchParams();
  const mayAudit = useMay('read_ledger');
  const mayRaise = useMay('raise_request');
  const on = params.get('on') ?? today();
  const kind = (params.get('kind') ?? 'engineering') as keyof typeof kinds;
  const plant = kind === 'manufacturing' ? (params.get('plant') ?? '') : '';
  const picture: Picture = plant === '' ? { kind } : { kind, plant };
  const asked = params.get('view');
  const ofPlant = kind === 'manufacturing' && (asked === 'accounted' || asked === 'routing' || asked === 'cost');
  const view = ofPlant || asked === 'summed' || asked === 'data' ? asked : 'tree';
  const set = (name: string, value: string, usual: string) =>
    setParams(
      (before) => {
        if (value === usual) before.delete(name);
        else before.set(name, value);
        return before;
      },
      { replace: true },
    );
  useEffect(() => remember(`/items/${item.number}`, `${item.number} ${item.title}`), [item.number, item.title]);
  // The ruler marks the lines of any time, also those that do not hold on the day shown.
  const marks = useQuery(queries.tree(item.number, { on, ...picture, levels: '1', time: 'any' }));

  // Plants count apart from engineering.
  const revisions = kind === 'manufacturing' ? (marks.data?.built ?? []) : page.revisions;
  const reading = useIsFetching({ queryKey: ['items'] });
  const [ready, setReady] = useState(false);
  if (!ready && reading === 0 && (marks.data !== undefined || marks.isError)) setReady(true);

  return (
    <Page
      title={item.title}
      number={item.number}
      over={
        <>
          <span className="font-mono">{item.number}</span> · {item.kind} · {item.category}
        </>
      }
      aside={
        <>
          <WatchButton number={item.number} />
          <RelationsLink number={item.number} />
          {mayAudit && (
            <Link
              to={`/ledger?about=${item.number}`}
              className="no-print text-accent underline-offset-3 hover:underline"
            >
              History
            </Link>
          )}
          {mayRaise && <MainLink to={`/requests/new?items=${item.number}`}>Raise a change request</MainLink>}
        </>
      }
    >
      {page.retired_from !== null && (
        <div className="mb-2">
          <Notice>
            {page.retired_from <= today() ? 'Retired since' : 'Is retired on'} {day(page.retired_from)}
            {page.replaced_by === null ? '; nothing replaces it.' : ', replaced by '}
            {page.replaced_by !== null && <ItemNumber number={page.replaced_by} />}
          </Notice>
        </div>
      )}
      {page.successions.length > 0 && (
        <ul aria-label="Numbers before and after" className="mb-2">
          {page.successions.map((row) => (
            <li key={row.successor}>
              {row.successor === item.number ? 'Succeeds ' : 'Succeeded by '}
              <ItemNumber number={row.successor === item.number ? row.item : row.successor} />{' '}
              {row.successor === item.number ? row.title : row.successor_title},{' '}
              {row.interchangeable ? 'interchangeable' : 'not interchangeable'}, <ChangeNumber number={row.order} />
            </li>
          ))}
        </ul>
      )}
      <div className="mb-4 border-y border-strong bg-sheet px-3 py-2">
        <Facts
          facts={[
            [
              'Revision and status',
              <Status
                key="s"
                status={item.status}
                revision={item.revision}
                coming={item.coming}
                revisedBy={item.being_revised_by}
              />,
            ],
            ['Unit', item.unit],
            ['Supply', page.supply === 'make' ? 'Made in house' : page.supply === 'buy' ? 'Bought' : 'Subcontracted'],
            [
              'Standard cost',
              item.standard_cost === null ? 'not known' : `${amount(item.standard_cost)} ${currency()}`,
            ],
            ['Lead time', page.lead_time_days === null ? '' : `${page.lead_time_days} working days`],
            ['Supplier', page.supplier],
            ['Material', page.material],
            ['Mass', page.mass === null ? '' : `${quantity(page.mass)} kg`],
            ...page.attributes.map(({ label, value }): [string, string] => [label, value]),
          ]}
        />
      </div>
      <div className="grid gap-x-8 gap-y-6 2xl:grid-cols-[minmax(0,1fr)_26rem]">
        <section aria-label={kinds[kind]} className="min-w-0">
          <div className="mb-1 flex flex-wrap items-center justify-between gap-x-4">
            <h2>
              {kinds[kind]}
              {marks.data?.revision && (
                <span className="ml-3 text-base font-normal">
                  on this day <Status status={marks.data.revision.status} revision={marks.data.revision.code} />
                  {marks.data.built_at !== null && marks.data.built_at !== (plant || FIRST_PLANT) && (
                    <span className="ml-2 text-soft">as {marks.data.built_at} builds it</span>
                  )}
                </span>
              )}
            </h2>
            <span className="flex flex-wrap items-center gap-x-4 gap-y-1">
              <Choice
                label="View"
                value={view}
                onChange={(value) => set('view', value, 'tree')}
                options={{
                  tree: 'Tree',
                  summed: 'Flattened',
                  data: 'Item data',
                  ...(kind === 'manufacturing' && { routing: 'Routing', cost: 'Cost', accounted: 'Accountability' }),
                }}
              />
              {kind === 'manufacturing' && (
                <Select
                  aria-label="Plant"
                  className="!w-48"
                  value={plant || FIRST_PLANT}
                  onChange={(value) => set('plant', value, FIRST_PLANT)}
                  options={plants()}
                />
              )}
              <Select
                aria-label="Structure"
                className="!w-56"
                value={kind}
                onChange={(value) => set('kind', value, 'engineering')}
                options={kinds}
              />
            </span>
          </div>
          <TimeRuler
            day={on}
            onChange={(day) => set('on', day, today())}
            revisions={revisions}
            planned={page.changes.filter(({ ahead }) => ahead)}
            lines={marks.data?.rows.map((row) => row.line) ?? []}
          />
          {view === 'accounted' ? (
            <Accounts number={item.number} on={on} plant={plant} order={params.get('order') ?? undefined} />
          ) : view === 'cost' ? (
            <BuiltCost number={item.number} on={on} plant={plant} />
          ) : view === 'routing' ? (
            <Routing number={item.number} on={on} plant={plant} />
          ) : view === 'data' ? (
            <ItemData number={item.number} unit={item.unit} on={on} />
          ) : view === 'summed' ? (
            <Summary number={item.number} on={on} picture={picture} />
          ) : (
            <StructureView
              item={item}
              on={on}
              picture={picture}
              levels={Number(params.get('levels') ?? 1)}
              onLevels={(levels) => set('levels', String(levels), '1')}
              anyTime={params.get('time') === 'any'}
              onAnyTime={(any) => set('time', any ? 'any' : '', '')}
              withOrders={params.get('orders') === 'open'}
              onWithOrders={(wanted) => set('orders', wanted ? 'open' : '', '')}
            />
          )}
        </section>
        {NAMED_BY_OPERATIONS.includes(item.kind) && (
          <div className={clsx('2xl:col-span-2', !ready && 'hidden')}>
            <OperationsOfItem number={item.number} on={on} />
          </div>
        )}
        {/* What stands below appears when all of it is there: nothing jumps under the eyes, or under the pointer. */}
        <div className={clsx('grid content-start gap-6 lg:grid-cols-2 2xl:grid-cols-1', !ready && 'hidden')}>
          <WhereUsed number={item.number} on={on} picture={picture} />
          <Documents item={item} />
          <OlderUses number={item.number} />
          <NamingChanges changes={page.changes} />
        </div>
        <div className={clsx('2xl:col-span-2', !ready && 'hidden')}>
          <History revisions={revisions} />
        </div>
        <div className={clsx('2xl:col-span-2', !ready && 'hidden')}>
          <Discussion numbers={[item.number]} />
        </div>
      </div>
    </Page>
  );
}
