import { useQuery } from '@tanstack/react-query';
import clsx from 'clsx';
import { useState } from 'react';
import type { Schemas } from '../../lib/api';
import { count, quantity } from '../../lib/format';
import { queries } from '../../lib/queries';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { Input } from '../../ui/Input';
import { Loading } from '../../ui/Loading';
import { Notice, ProblemNotice } from '../../ui/Notice';
import { ItemNumber } from '../../ui/Num';
import { Select } from '../../ui/Select';
import { carry } from './engineeringDrag';
import { NOWHERE, operationOptions } from './operationOptions';
import type { BuiltRedline } from './useBuilt';
import type { useTakeInto } from './useTakeInto';

type Row = Schemas['AccountRow'];

interface Props {
  redline: BuiltRedline;
  take: ReturnType<typeof useTakeInto>;
  /** Kept by the page, as what is dropped on an operation goes in so much as is typed here. */
  parts: Record<string, string>;
  onPart: (key: string, text: string) => void;
}

const isOpen = ({ account, rest }: Row) => account === 'open' && !rest.startsWith('-') && rest !== '0';
const places = ({ shares }: Row) =>
  [
    ...new Set(
      shares.map(({ operation, through }) => through.at(-1) ?? (operation === null ? 'none' : String(operation))),
    ),
  ].join(', ');

/** What engineering declares, beside what the plant builds: taken over at an operation by dragging, or by choosing both. */
export function EngineeringSide({ redline, take, parts, onPart }: Props) {
  const page = useQuery(queries.accountability(redline.item.number, { plant: redline.plant, order: redline.order }));
  const [all, setAll] = useState<'open' | 'all'>('open');
  const [chosen, setChosen] = useState<string[]>([]);
  const [operation, setOperation] = useState('');
  const options = operationOptions(redline.operations);
  const at = operation || (Object.keys(options)[0] ?? NOWHERE);
  const turn = (key: string) =>
    setChosen((before) => (before.includes(key) ? before.filter((one) => one !== key) : [...before, key]));

  return (
    <section
      aria-label="Engineering lines"
      className="border-y border-strong bg-sheet lg:sticky lg:top-2 lg:max-h-[80vh] lg:overflow-y-auto"
    >
      <Loading query={page}>
        {({ lines, open }) => {
          const shown = all === 'all' ? lines : lines.filter(({ account }) => account === 'open');
          const picked = chosen.filter((key) => lines.some((row) => row.line.key === key && isOpen(row)));
          return (
            <>
              <div className="flex flex-wrap items-center justify-between gap-2 border-b border-rule px-2 py-1">
                <h2 className="text-base">Engineering</h2>
                <Choice
                  label="Engineering lines"
                  value={all}
                  onChange={setAll}
                  options={{ open: `Open ${count(open)}`, all: `All ${count(lines.length)}` }}
                />
              </div>
              {open === 0 && all === 'open' && (
                <div className="p-2">
                  <Notice look="good">Complete. Every line is accounted for.</Notice>
                </div>
              )}
              <ul>
                {shown.map((row) => (
                  <li
                    key={row.line.key}
                    draggable={isOpen(row)}
                    onDragStart={(event) =>
                      carry(event.dataTransfer, picked.includes(row.line.key) ? picked : [row.line.key])
                    }
                    className={clsx(
                      'border-t border-rule px-2 py-1 first:border-t-0',
                      isOpen(row) ? 'cursor-grab' : 'text-soft',
                    )}
                  >
                    <label className="flex items-baseline gap-2">
                      <input
                        type="checkbox"
                        aria-label={`Take over find ${row.line.find}, ${row.line.component}`}
                        disabled={!isOpen(row)}
                        checked={picked.includes(row.line.key)}
                        onChange={() => turn(row.line.key)}
                      />
                      <span className="w-8 text-right tabular-nums">{row.line.find}</span>
                      <ItemNumber number={row.line.component} />
                      <span className="min-w-0 grow truncate" title={row.item.title}>
                        {row.item.title}
                      </span>
                    </label>
                    <div className="flex items-center gap-2 pl-6 text-sm">
                      {isOpen(row) ? (
                        <>
                          <Input
                            aria-label={`So much of find ${row.line.find}`}
                            aria-invalid={take.error?.at(row.line.key) !== undefined}
                            className="!h-6 !w-20 text-right"
                            value={parts[row.line.key] ?? ''}
                            placeholder={quantity(row.rest)}
                            onChange={(event) => onPart(row.line.key, event.target.value)}
                          />
                          <span>
                            of {quantity(row.rest)} {row.unit} open
                            {row.rest !== row.wanted && `, ${quantity(row.wanted)} in all`}
                          </span>
                        </>
                      ) : (
                        <span>
                          {row.account === 'open'
                            ? (row.why ?? `${quantity(row.rest)} ${row.unit} too much`)
                            : row.record !== null && row.record.by === null
                              ? '■ left out on record'
                              : `■ at ${places(row)}`}
                        </span>
                      )}
                    </div>
                    {take.error?.at(row.line.key) !== undefined && (
                      <p className="pl-6 text-sm text-alarm">▸ {take.error.at(row.line.key)}</p>
                    )}
                  </li>
                ))}
              </ul>
              {open > 0 && (
                <div className="flex flex-wrap items-center gap-2 border-t border-strong px-2 py-2">
                  <Button
                    look="main"
                    disabled={picked.length === 0}
                    busy={take.isPending}
                    onClick={() =>
                      take.mutate(
                        { lines: picked, operation: at === NOWHERE ? '' : at, parts },
                        { onSuccess: () => setChosen([]) },
                      )
                    }
                  >
                    Take over {count(picked.length)}
                  </Button>
                  <Select
                    aria-label="At operation"
                    className="!w-44"
                    value={at}
                    onChange={setOperation}
                    options={options}
                  />
                </div>
              )}
              <ProblemNotice problem={take.error} shown={lines.map(({ line }) => line.key)} />
            </>
          );
        }}
      </Loading>
    </section>
  );
}
