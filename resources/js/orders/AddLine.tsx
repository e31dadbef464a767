import type { UseMutationResult } from '@tanstack/react-query';
import { useState } from 'react';
import type { ApiProblem } from '../lib/api';
import { units } from '../lib/words';
import { Button } from '../ui/Button';
import { DecimalInput } from '../ui/DecimalInput';
import { Field } from '../ui/Field';
import { Input } from '../ui/Input';
import { ItemPicker } from '../ui/ItemPicker';
import { ProblemNotice } from '../ui/Notice';
import { Select } from '../ui/Select';
import type { Done, LineEdit, RedlineRow } from './useRedline';

interface Props {
  rows: RedlineRow[];
  /** Of a plant: the operations at which a line can be consumed, by number. */
  operations?: { number: number; title: string }[];
  edit: UseMutationResult<Done, ApiProblem, LineEdit>;
  /** In a grid of many structures: the key of a row that stands in the same one. */
  beside?: string;
  /** The find number to begin with; the next ten after the last line otherwise. */
  find?: number;
  onDone: () => void;
}

const unitNames = Object.fromEntries(units.map((unit) => [unit, unit])) as Record<(typeof units)[number], string>;

/** Adds a line, also of something that is not modelled (grease, labels, packaging), in its own unit. */
export function AddLine({ rows, operations, edit, beside, find, onDone }: Props) {
  const next = Math.max(0, ...rows.map((row) => Math.max(row.after?.find ?? 0, row.before?.find ?? 0))) + 10;
  const [item, setItem] = useState<{ number: string; title: string } | null>(null);
  const [line, setLine] = useState({
    find: String(find ?? next),
    quantity: '1',
    unit: 'pc',
    designators: '',
    notes: '',
    not_modelled: '',
    phantom: '',
    // Only a plant says where a line goes in, and what comes out.
    ...(operations === undefined ? {} : { operation: String(operations[0]?.number ?? ''), by_product: '' }),
  });
  const [asked, setAsked] = useState(false);
  const set = (part: Partial<typeof line>) => setLine((before) => ({ ...before, ...part }));
  const error = (place: string) => (asked ? edit.error?.at(place) : undefined);
  const add = async () => {
    setAsked(true);
    try {
      await edit.mutateAsync({
        operation: 'add',
        line: '',
        fields: { ...line, component: item?.number ?? '' },
        beside,
      });
      onDone();
    } catch {
      // The reasons stand beside their fields.
    }
  };

  return (
    <form
      aria-label="Add a line"
      className="mark-added mt-3 space-y-2 border-y border-rule bg-sheet px-3 py-2"
      onSubmit={(event) => {
        event.preventDefault();
        void add();
      }}
    >
      <div className="grid grid-cols-[5rem_minmax(14rem,1fr)_6rem_6rem_10rem_minmax(10rem,1fr)] gap-3">
        <Field label="Find" error={error('find')}>
          <Input value={line.find} onChange={(event) => set({ find: event.target.value })} />
        </Field>
        <div>
          <span className="mb-0.5 block text-sm font-medium text-soft">Component</span>
          {item === null ? (
            <ItemPicker
              label="Component"
              focusAtOnce
              invalid={error('component') !== undefined}
              onPick={(found) => {
                setItem(found);
                set({ unit: found.unit, not_modelled: ['Consumable', 'Packaging'].includes(found.kind) ? 'yes' : '' });
              }}
            />
          ) : (
            <button
              type="button"
              className="flex h-8 items-center gap-2 text-left"
              onClick={() => setItem(null)}
              title="Choose another"
            >
              <span className="font-mono text-sm">{item.number}</span> <span className="truncate">{item.title}</span>
            </button>
          )}
          {error('component') && <p className="mt-0.5 text-sm text-alarm">▸ {error('component')}</p>}
        </div>
        <Field label="Quantity" error={error('quantity')}>
          <DecimalInput value={line.quantity} onChange={(quantity) => set({ quantity })} />
        </Field>
        <Field label="Unit" error={error('unit')}>
          <Select value={line.unit as keyof typeof unitNames} onChange={(unit) => set({ unit })} options={unitNames} />
        </Field>
        <Field label="Designators" error={error('designators')}>
          <Input value={line.designators} onChange={(event) => set({ designators: event.target.value })} />
        </Field>
        <Field label="Notes" error={error('notes')}>
          <Input value={line.notes} onChange={(event) => set({ notes: event.target.value })} />
        </Field>
      </div>
      {operations !== undefined && operations.length > 0 && (
        <div className="w-72">
          <Field label="Operation" error={error('operation')}>
            <Select
              value={line.operation ?? ''}
              onChange={(operation) => set({ operation })}
              options={Object.fromEntries([
                ...operations.map(({ number, title }) => [String(number), `${number} ${title}`] as const),
                ['', 'at none'] as const,
              ])}
            />
          </Field>
        </div>
      )}
      <label className="flex items-center gap-2">
        <input
          type="checkbox"
          checked={line.not_modelled === 'yes'}
          onChange={(event) => set({ not_modelled: event.target.checked ? 'yes' : '' })}
        />
        Not modelled: in no design model and on no drawing
      </label>
      <label className="flex items-center gap-2">
        <input
          type="checkbox"
          checked={line.phantom === 'yes'}
          onChange={(event) => set({ phantom: event.target.checked ? 'yes' : '' })}
        />
        Phantom: never stocked, its own components go straight into the parent
      </label>
      {operations !== undefined && (
        <label className="flex items-center gap-2">
          <input
            type="checkbox"
            checked={line.by_product === 'yes'}
            onChange={(event) => set({ by_product: event.target.checked ? 'yes' : '' })}
          />
          By-product: comes out of the operation, and does not go in
        </label>
      )}
      {asked && (
        <ProblemNotice
          problem={edit.error}
          shown={['find', 'component', 'quantity', 'unit', 'designators', 'notes', 'operation']}
        />
      )}
      <div className="flex gap-2">
        <Button type="submit" look="main" busy={edit.isPending}>
          Add the line
        </Button>
        <Button look="quiet" onClick={onDone}>
          Cancel
        </Button>
      </div>
    </form>
  );
}
