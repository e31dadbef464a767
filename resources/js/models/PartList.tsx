import { useState } from 'react';
import { Button } from '../ui/Button';
import { DataTable, type Column } from '../ui/DataTable';
import { Mark } from '../ui/Mark';
import { ItemNumber } from '../ui/Num';
import { SearchInput } from '../ui/SearchInput';
import { actsColumn } from '../ui/table/columns';
import type { ModelPart } from './parts';

interface Props {
  parts: ModelPart[];
  compared: boolean;
  chosen: string | null;
  hidden: ReadonlySet<string>;
  onChoose: (number: string | null) => void;
  /** null: there is no picture to hide them in. */
  onHide: ((number: string, hide: boolean) => void) | null;
}

/** The parts of a model: found, chosen, hidden; with what became of each where two models are compared. */
export function PartList({ parts, compared, chosen, hidden, onChoose, onHide }: Props) {
  const [words, setWords] = useState('');
  const [all, setAll] = useState(false);
  const differs = (part: ModelPart) => part.kinds.some((kind) => kind !== 'unchanged');
  const found = parts.filter(
    (part) =>
      `${part.number} ${part.title}`.toLowerCase().includes(words.trim().toLowerCase()) &&
      (!compared || all || differs(part)),
  );
  const columns: Column<ModelPart>[] = [
    ...(compared
      ? [
          {
            id: 'kinds',
            head: 'Change',
            text: (part: ModelPart) => part.kinds.join(', '),
            cell: (part: ModelPart) => (
              <span className="inline-flex flex-wrap gap-x-2">
                {part.kinds
                  .filter((kind) => kind !== 'unchanged' || part.kinds.length === 1)
                  .map((kind) => (
                    <Mark key={kind} value={kind} word />
                  ))}
              </span>
            ),
          },
        ]
      : []),
    {
      id: 'find',
      head: 'Find',
      numeric: true,
      text: (part) => part.find,
      cell: (part) => part.find,
      sort: (part) => (part.find === '' ? null : Number(part.find)),
    },
    {
      id: 'number',
      head: 'Number',
      text: (part) => part.number,
      cell: (part) => (part.quantity === '' ? part.number : <ItemNumber number={part.number} />),
    },
    {
      id: 'title',
      head: 'Title',
      text: (part) => part.title,
      cell: (part) => <span className={part.number === chosen ? 'font-semibold' : ''}>{part.title}</span>,
    },
    {
      id: 'quantity',
      head: 'In structure',
      numeric: true,
      text: (part) => part.quantity,
      cell: (part) => (part.quantity === '' ? <span className="text-soft">not a line</span> : part.quantity),
    },
    {
      id: 'bodies',
      head: 'Bodies',
      numeric: true,
      text: (part) => String(part.bodies),
      cell: (part) =>
        part.bodies > 0 ? (
          part.bodies
        ) : (
          <span className="text-soft">{part.bodiesBelow === 0 ? 'none' : `${part.bodiesBelow} in parts`}</span>
        ),
    },
    ...(onHide === null
      ? []
      : [
          actsColumn<ModelPart>((part) =>
            part.bodies + part.kinds.length === 0 ? null : (
              <Button
                look="quiet"
                className="!h-6"
                aria-label={`${hidden.has(part.number) ? 'Show' : 'Hide'} ${part.number}`}
                onClick={() => onHide(part.number, !hidden.has(part.number))}
              >
                {hidden.has(part.number) ? 'Show' : 'Hide'}
              </Button>
            ),
          ),
        ]),
  ];
  return (
    <section className="min-w-0 space-y-2">
      <div className="no-print flex flex-wrap items-center gap-3">
        <SearchInput label="Find a part" initial="" className="!w-56" onWords={setWords} />
        {compared && (
          <label className="inline-flex min-h-7 items-center gap-1.5 text-sm">
            <input type="checkbox" checked={all} onChange={(event) => setAll(event.target.checked)} />
            Unchanged too
          </label>
        )}
        {chosen !== null && (
          <Button look="quiet" className="!h-7" onClick={() => onChoose(null)}>
            Show all alike
          </Button>
        )}
        {onHide !== null && hidden.size > 0 && (
          <Button look="quiet" className="!h-7" onClick={() => hidden.forEach((number) => onHide(number, false))}>
            Show hidden parts
          </Button>
        )}
      </div>
      <DataTable
        label="Parts of the model"
        rows={found}
        columns={columns}
        keyOf={(part) => part.number}
        rowClass={(part) => (part.number === chosen ? 'bg-accent-soft' : '')}
        onOpen={(part) => onChoose(part.number === chosen ? null : part.number)}
        empty={compared && !all ? 'No part differs. Tick “Unchanged too” to see all of them.' : 'No part is called so.'}
      />
    </section>
  );
}
