import type { Picture } from '../../lib/words';
import { useState, type KeyboardEvent } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../../lib/api';
import { count } from '../../lib/format';
import { Button } from '../../ui/Button';
import { Input } from '../../ui/Input';
import { Loading } from '../../ui/Loading';
import { Notice } from '../../ui/Notice';
import { Select } from '../../ui/Select';
import { SaveAs } from '../../ui/SaveAs';
import { TreeGrid } from './TreeGrid';
import { matches, nextMatch } from './treeRows';
import { useTree } from './useTree';

interface Props {
  item: Schemas['ItemRow'];
  on: string;
  picture: Picture;
  levels: number;
  onLevels: (levels: number) => void;
  anyTime: boolean;
  onAnyTime: (any: boolean) => void;
  withOrders: boolean;
  onWithOrders: (wanted: boolean) => void;
}

const depths = { 1: 'One level', 2: 'Two levels', 3: 'Three levels', 5: 'Five levels', 30: 'All levels' };

/** The structure of an item as a tree, with what one does to find the way in it. */
export function StructureView({
  item,
  on,
  picture,
  levels,
  onLevels,
  anyTime,
  onAnyTime,
  withOrders,
  onWithOrders,
}: Props) {
  const tree = useTree({ number: item.number, on, picture, levels, anyTime, withOrders });
  const [words, setWords] = useState('');
  const [goTo, setGoTo] = useState<{ row: number } | null>(null);
  const jump = (turn: 1 | -1) => {
    const next = nextMatch(tree.rows, words, goTo?.row ?? -1, turn);
    if (next >= 0) setGoTo({ row: next });
  };
  const onSearchKey = (event: KeyboardEvent) => {
    if (event.key === 'Enter') jump(event.shiftKey ? -1 : 1);
  };
  const wanted = words.trim().toLowerCase();
  const found = wanted === '' ? null : tree.rows.filter((row) => matches(row, wanted)).length;
  const query = new URLSearchParams({ on, ...picture }).toString();

  return (
    <>
      <div className="mb-1 flex flex-wrap items-center gap-x-3 gap-y-1 text-sm">
        <Select
          aria-label="Levels"
          className="!w-32"
          value={String(levels)}
          onChange={(value) => {
            tree.reset();
            onLevels(Number(value));
          }}
          options={depths}
        />
        <Input
          aria-label="Find in lines"
          placeholder="Find in lines"
          value={words}
          onChange={(event) => setWords(event.target.value)}
          onKeyDown={onSearchKey}
          className="no-print !w-48"
        />
        {found !== null && (
          <span role="status" className="text-soft">
            {count(found)} found
          </span>
        )}
        {found !== null && found > 0 && (
          <>
            <Button look="quiet" onClick={() => jump(-1)}>
              Previous
            </Button>
            <Button look="quiet" onClick={() => jump(1)}>
              Next
            </Button>
          </>
        )}
        <label className="flex items-center gap-1.5">
          <input type="checkbox" checked={anyTime} onChange={(event) => onAnyTime(event.target.checked)} />
          Include past and future lines
        </label>
        {picture.kind === 'engineering' && (
          <label className="flex items-center gap-1.5">
            <input type="checkbox" checked={withOrders} onChange={(event) => onWithOrders(event.target.checked)} />
            Overlay open orders
          </label>
        )}
        <span className="ml-auto flex items-center gap-3">
          <span className="text-soft">{count(tree.rows.length)} lines shown</span>
          <Link
            to={`/compare?left=${item.number}&right=${item.number}&left_kind=${picture.kind}&right_kind=${picture.kind}&left_on=${on}`}
            className="text-accent hover:underline"
          >
            Compare
          </Link>
          <SaveAs
            address={`/api/items/${item.number}/structure`}
            query={query}
            formats={['csv', 'xlsx', 'json', 'pdf']}
          />
        </span>
      </div>
      <Loading query={tree.page}>
        {(page) =>
          page.rows.length === 0 ? (
            <p className="border-b border-rule py-3 text-soft">
              {page.revision === null
                ? item.revision === null
                  ? 'This item has no released revision yet, so it has no structure.'
                  : 'No revision was in effect on that day. Move along the ruler to a mark.'
                : 'No lines recorded.'}
            </p>
          ) : (
            <>
              {page.more && (
                <Notice>
                  There are more lines than can be shown at once; these are the first. Open fewer levels, or choose
                  Flattened.
                </Notice>
              )}
              <TreeGrid
                rows={tree.rows}
                openness={{ levels, turned: tree.turned }}
                onTurn={tree.turn}
                words={words}
                goTo={goTo}
              />
            </>
          )
        }
      </Loading>
    </>
  );
}
