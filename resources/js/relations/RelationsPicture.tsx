import { useLayoutEffect, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import type { Schemas } from '../lib/api';
import { count } from '../lib/format';
import { laidOut, TALL, type Place } from './laidOut';

const WALKED = ['report', 'request', 'order', 'item'];
/** Of one letter, about. */
const LETTER = 6.2;

/** The record in the middle; what leads to it on the left, what it leads to on the right. One of them pressed is in the middle next. */
export function RelationsPicture({ page }: { page: Schemas['RelationPage'] }) {
  const navigate = useNavigate();
  const frame = useRef<HTMLDivElement>(null);
  const [room, setRoom] = useState(900);
  useLayoutEffect(() => setRoom(Math.max(640, frame.current?.clientWidth ?? 0)), []);
  const { groups, places, middle, box, height } = laidOut(page.ties, room);
  const walk = (number: string) => void navigate(`/relations/${number}`);
  return (
    <div
      ref={frame}
      className="overflow-x-auto border-y border-strong bg-sheet"
      role="group"
      aria-label={`What ${page.number} is tied to, as a picture`}
    >
      <svg width={room} height={height} className="block text-ink" fontSize="11">
        {places.map((place) => (
          <path
            key={`${place.tie} ${place.way} ${place.related.number}`}
            d={lineTo(place, middle, box)}
            fill="none"
            stroke="var(--rule-strong)"
            strokeWidth="0.8"
          />
        ))}
        {groups.map((group) => (
          <text key={`${group.tie} ${group.way}`} x={group.x} y={group.y} fill="var(--ink-soft)">
            {group.words}
            {group.total > group.shown && `, ${count(group.shown)} of ${count(group.total)}`}
          </text>
        ))}
        <g transform={`translate(${middle.x} ${middle.y})`}>
          <rect
            y={-TALL / 2}
            width={box}
            height={TALL}
            fill="var(--accent-soft)"
            stroke="var(--accent)"
            strokeWidth="1.5"
          />
          <Words number={page.number} title={page.title} box={box} />
        </g>
        {places.map((place) => {
          const { number, title, type } = place.related;
          const walked = WALKED.includes(type);
          return (
            <g
              key={`${place.tie} ${place.way} ${number}`}
              transform={`translate(${place.x} ${place.y})`}
              {...(walked && {
                role: 'link',
                tabIndex: 0,
                className: 'cursor-pointer',
                onClick: () => walk(number),
                onKeyDown: (event: React.KeyboardEvent) => event.key === 'Enter' && walk(number),
              })}
            >
              <title>{`${number} ${title}`}</title>
              <rect
                y={-TALL / 2}
                width={box}
                height={TALL}
                fill={type === 'item' ? 'var(--paper)' : walked ? 'var(--plum-soft)' : 'var(--sheet)'}
                stroke={type === 'item' ? 'var(--rule-strong)' : 'var(--plum)'}
              />
              <Words number={number} title={title} box={box} />
            </g>
          );
        })}
      </svg>
    </div>
  );
}

function Words({ number, title, box }: { number: string; title: string; box: number }) {
  const letters = Math.floor((box - 12) / LETTER) - number.length - 2;
  return (
    <text x={6} y={4} fill="currentColor" aria-hidden="true">
      <tspan fontFamily="var(--font-mono)">{number}</tspan>{' '}
      {title.length > letters ? `${title.slice(0, letters)}…` : title}
    </text>
  );
}

/** From the side of the record to the nearer side of the middle. */
function lineTo(place: Place, middle: { x: number; y: number }, box: number): string {
  const [from, to] = place.way === 'in' ? [place.x + box, middle.x] : [place.x, middle.x + box];
  const bend = (from + to) / 2;
  return `M ${from} ${place.y} C ${bend} ${place.y}, ${bend} ${middle.y}, ${to} ${middle.y}`;
}
