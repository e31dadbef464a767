import { useQuery } from '@tanstack/react-query';
import { useEffect, useLayoutEffect, useMemo, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import type { Schemas } from '../lib/api';
import { count } from '../lib/format';
import { queries } from '../lib/queries';
import { Loading } from '../ui/Loading';
import { SearchInput } from '../ui/SearchInput';
import { layered, ROW, TALL, through } from './layers';

/** The reach as a graph, from what is affected on the left to what is sold on the right. The table says the same in words. */
export function ReachGraph({ number }: { number: string }) {
  const picture = useQuery(queries.reachPicture(number));
  return <Loading query={picture}>{(data) => <Graph picture={data} />}</Loading>;
}

const MARGIN = 10;
/** Room between two columns, for the lines. */
const GAP = 44;
const WIDEST = 300;
const MANY = 200;
/** Of one letter at the size that is used here, about. */
const LETTER = 6.2;

function Graph({ picture }: { picture: Schemas['ReachGraph'] }) {
  const { nodes, edges, total } = picture;
  const navigate = useNavigate();
  const [at, setAt] = useState<number | null>(null);
  const [words, setWords] = useState('');
  const frame = useRef<HTMLDivElement>(null);
  const [room, setRoom] = useState(0);
  useLayoutEffect(() => setRoom((frame.current?.clientWidth ?? 0) - 2 * MARGIN), []);
  const { places, across, few, width, height } = useMemo(
    () =>
      layered(
        nodes.map((node) => node.level),
        edges,
        room,
      ),
    [nodes, edges, room],
  );
  const box = Math.min(WIDEST, across - GAP);
  const tall = few ? TALL - 16 : ROW - 2;
  const letters = Math.floor((box - 10) / LETTER);
  const found = words
    .toLowerCase()
    .split(/\s+/)
    .filter((word) => word !== '');
  const matching = nodes.flatMap((node, index) =>
    found.length > 0 && found.every((word) => `${node.number} ${node.title}`.toLowerCase().includes(word))
      ? [index]
      : [],
  );
  // What is affected is in the middle at first, and whatever is looked for as soon as it is found.
  const shown = places[matching[0] ?? nodes.findIndex(({ level }) => level === 0)];
  useEffect(() => {
    const sight = frame.current;
    if (sight && shown) sight.scrollTo(shown.x + box - sight.clientWidth / 2, shown.y + 20 - sight.clientHeight / 2);
  }, [shown, box]);
  const sources = at !== null ? [at] : matching;
  const lit = sources.length === 0 ? null : new Set(sources.flatMap((node) => [...through(node, edges)]));
  // Many lines from one place would read as a wall.
  const calm = edges.length > MANY ? 0.3 : 0.8;
  const dim = (node: number) => lit !== null && !lit.has(node);
  return (
    <div className="space-y-2">
      <div className="flex flex-wrap items-center gap-4 text-sm text-soft">
        <SearchInput label="Number or words, to see its ways" initial="" className="!w-64" onWords={setWords} />
        <span>
          {total > nodes.length
            ? `${count(nodes.length)} of ${count(total)} items: the ways to what is sold first, then what is nearest`
            : `${count(total)} items`}
          {found.length > 0 && `, ${matching.length} match`}
        </span>
        <span>■ affected, ◆ sold. Pointing at one shows its ways.</span>
      </div>
      <div
        ref={frame}
        className="overflow-auto border-y border-strong bg-sheet"
        style={{ maxHeight: '75vh' }}
        // A region that scrolls is reached by keys.
        // eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex
        tabIndex={0}
        role="group"
        aria-label={`Graph of ${nodes.length} items`}
      >
        <svg width={width + 2 * MARGIN - GAP} height={height + 2 * MARGIN} className="block text-ink" fontSize="11">
          <g transform={`translate(${MARGIN} ${MARGIN + tall / 2})`}>
            {edges.map(([a = 0, b = 0]) => {
              const from = places[a];
              const to = places[b];
              if (!from || !to) return null;
              const back = to.x <= from.x;
              return (
                <path
                  key={`${a} ${b}`}
                  d={
                    back
                      ? `M ${from.x + box} ${from.y} C ${from.x + box + 40} ${from.y}, ${to.x + box + 40} ${to.y}, ${to.x + box} ${to.y}`
                      : `M ${from.x + box} ${from.y} C ${from.x + box + 30} ${from.y}, ${to.x - 30} ${to.y}, ${to.x} ${to.y}`
                  }
                  fill="none"
                  stroke="var(--rule-strong)"
                  strokeWidth={lit !== null && !dim(a) && !dim(b) ? 1.6 : 0.8}
                  opacity={dim(a) || dim(b) ? 0.08 : lit === null ? calm : 0.8}
                />
              );
            })}
            {nodes.map((node, index) => {
              const place = places[index];
              if (!place) return null;
              return (
                <g
                  key={`${node.number} ${node.revision ?? ''}`}
                  transform={`translate(${place.x} ${place.y})`}
                  opacity={dim(index) ? 0.25 : 1}
                  role="link"
                  tabIndex={0}
                  className="cursor-pointer"
                  onMouseEnter={() => setAt(index)}
                  onMouseLeave={() => setAt(null)}
                  onFocus={() => setAt(index)}
                  onBlur={() => setAt(null)}
                  onClick={() => void navigate(`/items/${node.number}`)}
                  onKeyDown={(event) => event.key === 'Enter' && void navigate(`/items/${node.number}`)}
                >
                  <title>{named(node)}</title>
                  <rect
                    y={-tall / 2}
                    width={box}
                    height={tall}
                    fill={node.level === 0 ? 'var(--accent-soft)' : node.sold ? 'var(--plum-soft)' : 'var(--paper)'}
                    stroke={node.level === 0 ? 'var(--accent)' : node.sold ? 'var(--plum)' : 'var(--rule)'}
                    strokeWidth={at === index ? 2 : 1}
                  />
                  <text x={5} y={few ? -3 : 4} fill="currentColor" aria-hidden="true">
                    {node.level === 0 ? '■ ' : node.sold ? '◆ ' : ''}
                    <tspan fontFamily="var(--font-mono)">{node.number}</tspan>
                    {node.revision != null && ` ${node.revision}`}
                    {!few && ` ${cut(node.title, letters - node.number.length - 4)}`}
                  </text>
                  {few && (
                    <text x={5} y={12} fill="currentColor" aria-hidden="true">
                      {cut(node.title, letters)}
                    </text>
                  )}
                </g>
              );
            })}
          </g>
        </svg>
      </div>
    </div>
  );
}

/** What an item is to the change, in words. */
function named({ number, title, sold, level }: Schemas['ReachNode']): string {
  return `${number} ${title}${sold ? ', sold' : ''}${level === 0 ? ', affected' : `, level ${level}`}`;
}

/** As much of a title as there is room for, in letters. */
function cut(title: string, room: number): string {
  return title.length <= room ? title : `${title.slice(0, Math.max(4, room - 1))}…`;
}
