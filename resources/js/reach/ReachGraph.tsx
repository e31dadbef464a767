import { useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import type { Schemas } from '../lib/api';
import { count } from '../lib/format';
import { queries } from '../lib/queries';
import { Loading } from '../ui/Loading';
import { SearchInput } from '../ui/SearchInput';
import { COLUMN, layered, ROW, through } from './layers';

/** The reach as a graph, from what is affected on the left to what is sold on the right. The table says the same in words. */
export function ReachGraph({ number }: { number: string }) {
  const picture = useQuery(queries.reachPicture(number));
  return <Loading query={picture}>{(data) => <Graph picture={data} />}</Loading>;
}

const BOX = COLUMN - 60;

function Graph({ picture }: { picture: Schemas['ReachPicture'] }) {
  const { nodes, edges, total } = picture;
  const navigate = useNavigate();
  const [at, setAt] = useState<number | null>(null);
  const [words, setWords] = useState('');
  const { places, width, height } = useMemo(
    () =>
      layered(
        nodes.map((node) => node.level),
        edges,
      ),
    [nodes, edges],
  );
  const found = words
    .toLowerCase()
    .split(/\s+/)
    .filter((word) => word !== '');
  const matching = nodes.flatMap((node, index) =>
    found.length > 0 && found.every((word) => `${node.number} ${node.title}`.toLowerCase().includes(word))
      ? [index]
      : [],
  );
  const sources = at !== null ? [at] : matching;
  const lit = sources.length === 0 ? null : new Set(sources.flatMap((node) => [...through(node, edges)]));
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
        className="overflow-auto border-y border-strong bg-sheet"
        style={{ maxHeight: '75vh' }}
        // A region that scrolls is reached by keys.
        // eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex
        tabIndex={0}
        role="group"
        aria-label={`Graph of ${nodes.length} items`}
      >
        <svg width={width + 20} height={height + 40} className="block text-ink" fontSize="11">
          <g transform="translate(10 20)">
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
                      ? `M ${from.x + BOX} ${from.y} C ${from.x + BOX + 40} ${from.y}, ${to.x + BOX + 40} ${to.y}, ${to.x + BOX} ${to.y}`
                      : `M ${from.x + BOX} ${from.y} C ${from.x + BOX + 30} ${from.y}, ${to.x - 30} ${to.y}, ${to.x} ${to.y}`
                  }
                  fill="none"
                  stroke="var(--rule-strong)"
                  strokeWidth={lit !== null && !dim(a) && !dim(b) ? 1.6 : 0.8}
                  opacity={dim(a) || dim(b) ? 0.12 : 0.8}
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
                  <title>{`${node.number} ${node.title}${node.sold ? ', sold' : ''}${node.level === 0 ? ', affected' : `, level ${node.level}`}`}</title>
                  <rect
                    y={-ROW / 2 + 1}
                    width={BOX}
                    height={ROW - 2}
                    fill={node.level === 0 ? 'var(--accent-soft)' : node.sold ? 'var(--plum-soft)' : 'var(--paper)'}
                    stroke={node.level === 0 ? 'var(--accent)' : node.sold ? 'var(--plum)' : 'var(--rule)'}
                    strokeWidth={at === index ? 2 : 1}
                  />
                  <text x={5} y={4} fill="currentColor" aria-hidden="true">
                    {node.level === 0 ? '■ ' : node.sold ? '◆ ' : ''}
                    <tspan fontFamily="var(--font-mono)">{node.number}</tspan>
                    {node.revision != null && ` ${node.revision}`} {cut(node.title, node.number)}
                  </text>
                </g>
              );
            })}
          </g>
        </svg>
      </div>
    </div>
  );
}

/** As much of a title as the box holds beside the number. */
function cut(title: string, number: string): string {
  const room = Math.max(4, 25 - number.length);
  return title.length <= room ? title : `${title.slice(0, room - 1)}…`;
}
