import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { Schemas } from '../../lib/api';
import { queries } from '../../lib/queries';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { Input } from '../../ui/Input';
import { ProblemNotice } from '../../ui/Notice';
import { useMarks } from './useMarks';

/** The marks of change on a sheet, told beside it; whoever works on the draft sets them and takes them off. */
export function SheetMarks({ file, page }: { file: Schemas['FileRow']; page: number }) {
  const { data } = useQuery(queries.sheetMarks(file.id));
  const { set, remove } = useMarks(file.id);
  const [zone, setZone] = useState('');
  const [note, setNote] = useState('');
  if (data === undefined || (data.marks.length === 0 && !data.may_set)) return null;
  return (
    <section aria-labelledby="sheet-marks">
      <h2 id="sheet-marks" className="mb-1">
        Marks of change
      </h2>
      {data.marks.length > 0 && (
        <ul className="border-y border-strong bg-sheet text-sm">
          {data.marks.map((mark) => (
            <li key={mark.id} className="flex items-baseline gap-3 border-b border-rule px-2 py-1 last:border-b-0">
              <span className="font-mono whitespace-nowrap">
                ◁ {data.revision} {mark.zone}
              </span>
              <span className="grow">
                {mark.note}
                {mark.page > 1 && <span className="text-soft">, page {mark.page}</span>}
              </span>
              {data.may_set && (
                <Button
                  look="quiet"
                  className="!h-6"
                  aria-label={`Remove mark ${mark.zone} ${mark.note}`}
                  onClick={() => remove.mutate(mark.id)}
                >
                  Remove
                </Button>
              )}
            </li>
          ))}
        </ul>
      )}
      <ProblemNotice problem={remove.error} />
      {data.may_set && (
        <form
          noValidate
          className="no-print mt-2 grid grid-cols-[4rem_minmax(0,1fr)_auto] items-end gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            set.mutate(
              { page, zone: zone.trim() === '' ? '-' : zone.trim(), note: note.trim() },
              {
                onSuccess: () => {
                  setZone('');
                  setNote('');
                },
              },
            );
          }}
        >
          <Field label="Zone" error={set.error?.at('zone')}>
            <Input value={zone} maxLength={4} placeholder="B3" onChange={(event) => setZone(event.target.value)} />
          </Field>
          <Field label="What has changed there" error={set.error?.at('note')}>
            <Input value={note} maxLength={200} onChange={(event) => setNote(event.target.value)} />
          </Field>
          <Button type="submit" busy={set.isPending}>
            Set mark
          </Button>
        </form>
      )}
      {set.error && !set.error.at('zone') && !set.error.at('note') && <ProblemNotice problem={set.error} />}
    </section>
  );
}
