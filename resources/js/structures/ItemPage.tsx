import { useQuery } from '@tanstack/react-query';
import { useEffect } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import type { Schemas } from '../lib/api';
import { amount, today } from '../lib/format';
import { queries } from '../lib/queries';
import { remember } from '../lib/recent';
import { useMay } from '../lib/session';
import { Facts } from '../ui/Facts';
import { Loading } from '../ui/Loading';
import { Page } from '../ui/Page';
import { Select } from '../ui/Select';
import { Status } from '../ui/Status';
import { History } from './History';
import { NamingChanges } from './NamingChanges';
import { StructureTree } from './StructureTree';
import { TimeRuler } from './TimeRuler';
import { WhereUsed } from './WhereUsed';

const kinds = {
  engineering: 'Engineering structure',
  manufacturing: 'Manufacturing structure',
  design: 'Design structure',
} as const;

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
  const mayRaise = useMay('raise_request');
  const on = params.get('on') ?? today();
  const kind = (params.get('kind') ?? 'engineering') as keyof typeof kinds;
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
  const structure = useQuery(queries.structure(item.number, { on, kind }));

  return (
    <Page
      title={item.title}
      over={
        <>
          <span className="font-mono">{item.number}</span> · {item.kind} · {item.category}
        </>
      }
      aside={
        mayRaise && (
          <Link
            to={`/requests/new?items=${item.number}`}
            className="inline-flex h-8 items-center rounded-xs border border-accent bg-accent px-3 font-medium text-on-accent hover:brightness-110"
          >
            Raise a change request
          </Link>
        )
      }
    >
      <div className="mb-4 border-y border-strong bg-sheet px-3 py-2">
        <Facts
          facts={[
            [
              'Revision and status',
              <Status key="s" status={item.status} revision={item.revision} revisedBy={item.being_revised_by} />,
            ],
            ['Unit', item.unit],
            ['Supply', page.supply === 'make' ? 'Made here' : page.supply === 'buy' ? 'Bought' : 'Subcontracted'],
            ['Standard cost', item.standard_cost === null ? 'not known' : amount(item.standard_cost)],
            ['Lead time', page.lead_time_days === null ? '' : `${page.lead_time_days} days`],
            ['Supplier', page.supplier],
            ['Material', page.material],
          ]}
        />
      </div>
      <div className="grid gap-x-8 gap-y-6 xl:grid-cols-[minmax(0,1fr)_26rem]">
        <section aria-label={kinds[kind]} className="min-w-0">
          <div className="mb-1 flex items-center justify-between gap-4">
            <h2>
              {kinds[kind]}
              {structure.data?.revision && (
                <span className="ml-3 text-base font-normal">
                  on this day <Status status={structure.data.revision.status} revision={structure.data.revision.code} />
                </span>
              )}
            </h2>
            <Select
              aria-label="Which structure"
              className="!w-56"
              value={kind}
              onChange={(value) => set('kind', value, 'engineering')}
              options={kinds}
            />
          </div>
          <TimeRuler
            day={on}
            onChange={(day) => set('on', day, today())}
            revisions={page.revisions}
            lines={structure.data?.rows.map((row) => row.line) ?? []}
          />
          <Loading query={structure}>
            {(data) => <StructureTree page={data} unreleased={item.revision === null} />}
          </Loading>
        </section>
        <div className="space-y-6">
          <WhereUsed number={item.number} on={on} kind={kind} />
          <NamingChanges changes={page.changes} />
        </div>
        <div className="xl:col-span-2">
          <History revisions={page.revisions} />
        </div>
      </div>
    </Page>
  );
}
