import { useState } from 'react';
import type { Schemas } from '../lib/api';
import { Button } from '../ui/Button';
import { Field } from '../ui/Field';
import { Input } from '../ui/Input';
import { ItemPicker } from '../ui/ItemPicker';
import { ProblemNotice } from '../ui/Notice';
import { useTakeOver, type At } from './useTakeOver';

interface Props {
  at: At;
  row: Schemas['AccountRow'];
  onDone: () => void;
}

/** Puts on record that an engineering line is left out or replaced at the plant, with the reason; or takes that off again. */
export function RecordForm({ at, row, onDone }: Props) {
  const { record } = useTakeOver(at);
  const [by, setBy] = useState<Schemas['ItemRow'] | null>(null);
  const [value, setValue] = useState({ reason: row.record?.reason ?? '', new: row.record?.new ?? '1', old: '1' });
  const save = (more: { reason?: string; by?: string; new?: string; unit?: string; old?: string }) =>
    record.mutate({ line: row.line.key, ...more }, { onSuccess: onDone });
  return (
    <form
      aria-label={`On record: find ${row.line.find}`}
      className="space-y-2 border-y border-strong bg-sheet p-3"
      onSubmit={(event) => {
        event.preventDefault();
        save({
          reason: value.reason,
          ...(by && { by: by.number, new: value.new, unit: by.unit, old: value.old }),
        });
      }}
    >
      <p>
        Find {row.line.find}, {row.item.number} {row.item.title}: left out at {at.plant}, or replaced by another item.
      </p>
      <div className="flex flex-wrap items-start gap-3">
        <Field label="Reason" className="w-80" error={record.error?.at('reason')}>
          <Input value={value.reason} onChange={(event) => setValue({ ...value, reason: event.target.value })} />
        </Field>
        <div className="w-72">
          <ItemPicker
            label="In its place (empty: left out)"
            onPick={setBy}
            invalid={record.error?.at('by') !== undefined}
          />
          {by && (
            <p className="mt-0.5 text-sm">
              {by.number} {by.title}
            </p>
          )}
        </div>
        {by && (
          <>
            <Field label={`So many ${by.unit}`} className="w-24" error={record.error?.at('new')}>
              <Input value={value.new} onChange={(event) => setValue({ ...value, new: event.target.value })} />
            </Field>
            <Field label={`for so many ${row.line.unit}`} className="w-28" error={record.error?.at('old')}>
              <Input value={value.old} onChange={(event) => setValue({ ...value, old: event.target.value })} />
            </Field>
          </>
        )}
      </div>
      <span className="flex gap-2">
        <Button type="submit" look="main" busy={record.isPending}>
          {by ? 'Replace on record' : 'Leave out on record'}
        </Button>
        {row.record !== null && (
          <Button busy={record.isPending} onClick={() => save({})}>
            Take off the record
          </Button>
        )}
        <Button look="quiet" onClick={onDone}>
          Cancel
        </Button>
      </span>
      <ProblemNotice problem={record.error} shown={['reason', 'by', 'new', 'old']} />
    </form>
  );
}
