import { useQuery } from '@tanstack/react-query';
import { useParams } from 'react-router';
import type { Schemas } from '../lib/api';
import { count } from '../lib/format';
import { queries } from '../lib/queries';
import { nameOf } from '../lib/choices';
import { changeTypes, states } from '../lib/words';
import { DataTable, type Column } from '../ui/DataTable';
import { Loading } from '../ui/Loading';
import { ChangeNumber, ItemNumber } from '../ui/Num';
import { Page } from '../ui/Page';
import { RelationsPicture } from './RelationsPicture';

type Related = Schemas['RelatedRow'];
interface Row extends Related {
  words: string;
}

function typeOf(type: string): string {
  if (type === 'item') return 'Item';
  return type in changeTypes ? changeTypes[type as keyof typeof changeTypes] : nameOf('record', type);
}

/** What a record is tied to, as a picture that is walked from one to the next, and as a list. */
export function RelationsPage() {
  const { number = '' } = useParams();
  const relations = useQuery(queries.relations(number));
  const page = relations.data;
  return (
    <Page
      title={page?.title ?? 'Relations'}
      number={number}
      over={
        <span className="flex items-baseline gap-2">
          Relations of {page?.type === 'item' ? <ItemNumber number={number} /> : <ChangeNumber number={number} />}
        </span>
      }
      aside={page?.state != null && <span className="text-soft">{states[page.state]}</span>}
    >
      <Loading query={relations}>{(shown) => <Shown page={shown} />}</Loading>
    </Page>
  );
}

function Shown({ page }: { page: Schemas['RelationPage'] }) {
  const rows: Row[] = page.ties.flatMap(({ words, related }) => related.map((one) => ({ ...one, words })));
  const total = page.ties.reduce((sum, tie) => sum + tie.total, 0);
  if (rows.length === 0) return <p className="text-soft">It is tied to nothing yet.</p>;
  return (
    <div className="space-y-6">
      <RelationsPicture key={page.number} page={page} />
      <section aria-label="List">
        <DataTable
          label={`What ${page.number} is tied to`}
          exportName={`relations-${page.number}`}
          rows={rows}
          columns={columns}
          keyOf={(row) => `${row.words} ${row.type} ${row.number}`}
          caption={total === rows.length ? `${count(total)} ties` : `${count(rows.length)} of ${count(total)} ties`}
          empty=""
        />
      </section>
    </div>
  );
}

const columns: Column<Row>[] = [
  { id: 'words', head: 'Tie', text: ({ words }) => words, cell: ({ words }) => words },
  {
    id: 'number',
    head: 'Number',
    text: ({ number }) => number,
    cell: (row) =>
      row.type === 'item' ? (
        <ItemNumber number={row.number} />
      ) : row.type in changeTypes ? (
        <ChangeNumber number={row.number} />
      ) : row.address !== '' ? (
        <a href={row.address} rel="noreferrer" target="_blank" className="text-accent underline">
          {row.number}
        </a>
      ) : (
        row.number
      ),
  },
  { id: 'title', head: 'Title', text: ({ title }) => title, cell: ({ title }) => title },
  { id: 'type', head: 'Kind', text: ({ type }) => typeOf(type), cell: ({ type }) => typeOf(type) },
  {
    id: 'state',
    head: 'State',
    text: ({ state }) => (state === null ? '' : (states[state] ?? state)),
    cell: ({ state }) => state !== null && (states[state] ?? state),
  },
];
