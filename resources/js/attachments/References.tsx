import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, told } from '../lib/api';
import { offered } from '../lib/choices';
import { moment } from '../lib/format';
import { queries } from '../lib/queries';
import { useMay } from '../lib/session';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { Button } from '../ui/Button';
import { Field } from '../ui/Field';
import { Input } from '../ui/Input';
import { ProblemNotice } from '../ui/Notice';
import { Person } from '../ui/Person';
import { Select } from '../ui/Select';

interface Props {
  /** The number of the report, request or order. */
  of: string;
}

const BLANK = { kind: '', number: '', address: '' };

/** Records of other processes that a change has to do with: a complaint, an audit, a project. */
export function References({ of }: Props) {
  const references = useQuery(queries.references(of));
  const may = useMay('attach_file');
  const [adding, setAdding] = useState(false);
  const [draft, setDraft] = useState(BLANK);
  const names = offered('record');
  const add = useAct(
    touches.reference,
    () => told(api.POST('/api/changes/{number}/references', { params: { path: { number: of } }, body: draft })),
    () => {
      setDraft(BLANK);
      setAdding(false);
    },
  );
  const remove = useAct(touches.reference, (reference: number) =>
    told(
      api.DELETE('/api/changes/{number}/references/{reference}', {
        params: { path: { number: of, reference: String(reference) } },
      }),
    ),
  );
  const rows = references.data ?? [];
  if (rows.length === 0 && !may) return null;
  const set = (part: Partial<typeof BLANK>) => setDraft((before) => ({ ...before, ...part }));
  return (
    <section aria-label={`Records elsewhere of ${of}`} className="max-w-4xl space-y-1 text-sm">
      {rows.length > 0 && (
        <ul className="border-y border-rule bg-sheet">
          {rows.map((row) => (
            <li key={row.id} className="flex items-center gap-3 border-t border-rule px-2 py-1 first:border-t-0">
              <span className="w-36 text-soft">{names[row.kind] ?? row.kind}</span>
              {row.address === '' ? (
                <span className="font-mono">{row.number}</span>
              ) : (
                <a href={row.address} target="_blank" rel="noreferrer" className="font-mono text-accent underline">
                  {row.number}
                </a>
              )}
              <span className="ml-auto text-soft">
                <Person name={row.by} />, {moment(row.at)}
              </span>
              {may && (
                <Button
                  look="quiet"
                  className="!h-6"
                  aria-label={`Remove ${row.number}`}
                  onClick={() => remove.mutate(row.id)}
                >
                  Remove
                </Button>
              )}
            </li>
          ))}
        </ul>
      )}
      <ProblemNotice problem={remove.error} />
      {may && !adding && (
        <Button look="quiet" className="px-0" onClick={() => setAdding(true)}>
          Refer to a record elsewhere
        </Button>
      )}
      {adding && (
        <form
          aria-label="Refer to a record elsewhere"
          className="grid items-start gap-3 md:grid-cols-[12rem_12rem_1fr_auto_auto]"
          onSubmit={(event) => {
            event.preventDefault();
            add.mutate(undefined);
          }}
        >
          <Field label="Kind of record" error={add.error?.at('kind')}>
            <Select value={draft.kind} onChange={(kind) => set({ kind })} options={names} />
          </Field>
          <Field label="Its number" error={add.error?.at('number')}>
            <Input value={draft.number} onChange={(event) => set({ number: event.target.value })} />
          </Field>
          <Field label="Address of its page" error={add.error?.at('address')}>
            <Input value={draft.address} onChange={(event) => set({ address: event.target.value })} />
          </Field>
          <Button type="submit" className="mt-5.5" busy={add.isPending}>
            Save
          </Button>
          <Button look="quiet" className="mt-5.5" onClick={() => setAdding(false)}>
            Cancel
          </Button>
        </form>
      )}
      <ProblemNotice problem={add.error} shown={['kind', 'number', 'address']} />
    </section>
  );
}
