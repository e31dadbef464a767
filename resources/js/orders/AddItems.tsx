import { useQuery } from '@tanstack/react-query';
import { useDeferredValue, useState } from 'react';
import type { ApiProblem } from '../lib/api';
import { count } from '../lib/format';
import { queries } from '../lib/queries';
import { Button } from '../ui/Button';
import { DateInput } from '../ui/DateInput';
import { Details } from '../ui/Details';
import { Field } from '../ui/Field';
import { TextArea } from '../ui/Input';
import { ItemPicker } from '../ui/ItemPicker';
import { Loading } from '../ui/Loading';
import { ProblemNotice } from '../ui/Notice';
import { ItemNumber } from '../ui/Num';
import { SearchInput } from '../ui/SearchInput';
import { Select } from '../ui/Select';

export const ways = {
  parents: 'Direct parents of',
  above: 'All assemblies above',
  components: 'Direct components of',
  below: 'Everything below',
  documents: 'Drawings and documents of',
  category: 'All of the category of',
  range: 'Assemblies by number, from',
} as const;

interface Props {
  order: string;
  busy: boolean;
  problem: ApiProblem | null;
  /** Names them on the order; resolves when that is done. */
  onAdd: (numbers: string[]) => Promise<unknown>;
}

const numbersOf = (text: string) => [...new Set(text.split(/[\s,;]+/).filter((part) => part !== ''))];

/** Names many items at once: what is found by words, a pasted list of numbers, or what stands above, below or beside an item. */
export function AddItems({ order, busy, problem, onAdd }: Props) {
  const [text, setText] = useState('');
  const numbers = numbersOf(text);
  const [way, setWay] = useState<keyof typeof ways>('parents');
  const [item, setItem] = useState('');
  const [to, setTo] = useState('');
  const [on, setOn] = useState('');
  const ofDay = way !== 'documents' && way !== 'category' && way !== 'range';
  // What could not be named so is told by its place in the list: by its number here.
  const shown = Object.keys(problem?.errors ?? {}).filter((place) => place.startsWith('items.'));
  return (
    <Details summary="Add several items">
      <div className="mt-2 grid max-w-5xl gap-8 md:grid-cols-3">
        <Found busy={busy} onAdd={onAdd} />
        <section aria-label="List of item numbers" className="space-y-2">
          <Field label="Item numbers" hint="Pasted from a list: one a line, or with commas between">
            <TextArea rows={5} value={text} onChange={(event) => setText(event.target.value)} />
          </Field>
          <Button
            disabled={numbers.length === 0}
            busy={busy}
            onClick={() =>
              void onAdd(numbers).then(
                () => setText(''),
                () => undefined,
              )
            }
          >
            Add {count(numbers.length)} {numbers.length === 1 ? 'item' : 'items'}
          </Button>
        </section>
        <section aria-label="Pull in" className="space-y-2">
          <div className="grid grid-cols-2 gap-2">
            <Field label="Pull in">
              <Select value={way} onChange={setWay} options={ways} />
            </Field>
            <div>
              <span className="mb-0.5 block text-sm font-medium text-soft">Item</span>
              <ItemPicker label="Item to pull in from" onPick={(one) => setItem(one.number)} />
            </div>
            {ofDay && (
              <Field label="On the day" hint="Empty: that of the order">
                <DateInput value={on} onChange={setOn} />
              </Field>
            )}
            {way === 'range' && (
              <div>
                <span className="mb-0.5 block text-sm font-medium text-soft">To</span>
                <ItemPicker label="Last number of the range" onPick={(one) => setTo(one.number)} />
              </div>
            )}
          </div>
          {item !== '' && (way !== 'range' || to !== '') && (
            <Pulled
              order={order}
              query={{ item, way, on: ofDay ? on : '', to: way === 'range' ? to : '' }}
              busy={busy}
              onAdd={onAdd}
            />
          )}
        </section>
      </div>
      <div className="mt-2">
        <ProblemNotice problem={problem} shown={shown} />
        {shown.length > 0 && (
          <ul className="text-sm text-alarm" role="alert">
            {shown.map((place) => (
              <li key={place}>▸ {problem?.at(place)}</li>
            ))}
          </ul>
        )}
      </div>
    </Details>
  );
}

/** What is found by words: added one by one, or dragged onto the items of the order. */
function Found({ busy, onAdd }: Pick<Props, 'busy' | 'onAdd'>) {
  const [words, setWords] = useState('');
  const asked = useDeferredValue(words.trim());
  const found = useQuery({ ...queries.itemsNamed(asked), enabled: asked !== '' });
  return (
    <section aria-label="Search" className="space-y-2">
      <Field label="Search" hint="Drag a number onto the items above, from here or from any other page">
        <SearchInput label="Number or title" initial="" onWords={setWords} />
      </Field>
      {asked !== '' && found.data && (
        <ul aria-label="Found" className="max-h-48 overflow-auto border-y border-rule bg-sheet text-sm">
          {found.data.rows.map((one) => (
            <li key={one.number} className="flex items-center gap-2 px-2">
              <ItemNumber number={one.number} />
              <span className="truncate">{one.title}</span>
              <Button
                look="quiet"
                className="ml-auto"
                aria-label={`Add ${one.number}`}
                busy={busy}
                onClick={() => void onAdd([one.number]).catch(() => undefined)}
              >
                Add
              </Button>
            </li>
          ))}
          {found.data.rows.length === 0 && <li className="px-2 text-soft">Nothing found</li>}
          {found.data.total > found.data.rows.length && (
            <li className="px-2 text-soft">
              First {count(found.data.rows.length)} of {count(found.data.total)} shown; refine the search
            </li>
          )}
        </ul>
      )}
    </section>
  );
}

interface Asked {
  item: string;
  way: keyof typeof ways;
  on: string;
  to: string;
}

function Pulled({ order, query, busy, onAdd }: Omit<Props, 'problem'> & { query: Asked }) {
  const { item, way, to } = query;
  const pulled = useQuery(queries.pulledItems(order, query));
  return (
    <Loading query={pulled}>
      {(rows) => {
        const fresh = rows.filter(({ named }) => !named);
        return (
          <div className="space-y-2">
            <p className="text-sm">
              {ways[way]} <ItemNumber number={item} /> {to !== '' && `to ${to}`}: {count(rows.length)}
              {rows.length > fresh.length && `, of which ${count(rows.length - fresh.length)} are on the order already`}
            </p>
            <ul className="max-h-40 overflow-auto text-sm">
              {fresh.map(({ item: one }) => (
                <li key={one.number}>
                  <ItemNumber number={one.number} /> {one.title}
                </li>
              ))}
            </ul>
            <Button
              disabled={fresh.length === 0}
              busy={busy}
              onClick={() =>
                void onAdd(fresh.map(({ item: one }) => one.number)).then(
                  () => undefined,
                  () => undefined,
                )
              }
            >
              Add {count(fresh.length)} {fresh.length === 1 ? 'item' : 'items'}
            </Button>
          </div>
        );
      }}
    </Loading>
  );
}
