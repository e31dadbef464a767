import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { ApiProblem, Schemas } from '../lib/api';
import { queries } from '../lib/queries';
import { Button } from '../ui/Button';
import { Field } from '../ui/Field';
import { Input } from '../ui/Input';
import { Loading } from '../ui/Loading';
import { ProblemNotice } from '../ui/Notice';
import { Select } from '../ui/Select';

export type AskedNumber = Omit<Schemas['NewNumberRequest'], 'version'>;

const ways = { copied: 'Copy to a new number', shared: 'Describes both', left: 'Leave behind' } as const;
const interchange = {
  no: 'No: the new one only where it is called for',
  yes: 'Yes: either where the other is called for',
} as const;

interface Props {
  item: Schemas['ItemRow'];
  busy: boolean;
  problem: ApiProblem | null;
  onGive: (asked: AskedNumber) => void;
  onCancel: () => void;
}

/** What goes along when an item gets a new number. */
export function NewNumberForm({ item, busy, problem, onGive, onCancel }: Props) {
  const [title, setTitle] = useState(item.title);
  const [either, setEither] = useState<keyof typeof interchange | ''>('');
  const [along, setAlong] = useState({ lines: true, data: true });
  const [how, setHow] = useState<Record<string, keyof typeof ways>>({});
  const [missing, setMissing] = useState(false);
  const page = useQuery(queries.documents(item.number));
  const documents = page.data?.documents ?? [];
  // A drawing shows one item; a document may well be true of both.
  const wayOf = (document: Schemas['ItemRow']) =>
    how[document.number] ?? (document.kind === 'Drawing' ? 'copied' : 'shared');
  const give = () => {
    setMissing(either === '');
    if (either === '') return;
    onGive({
      title,
      interchangeable: either === 'yes',
      ...along,
      documents: documents
        .map((row) => ({ number: row.item.number, way: wayOf(row.item) }))
        .filter(({ way }) => way !== 'left')
        .map(({ number, way }) => ({ number, copied: way === 'copied' })),
    });
  };
  return (
    <form
      aria-label={`New number for ${item.number}`}
      className="max-w-4xl space-y-3 border-y border-strong bg-sheet p-3"
      onSubmit={(event) => {
        event.preventDefault();
        give();
      }}
    >
      <p>
        {item.number} is copied to the next number of its category, which succeeds it and is released with this order.
      </p>
      <div className="flex flex-wrap gap-4">
        <Field label="Title of the new number" className="w-96" error={problem?.at('title')}>
          <Input value={title} onChange={(event) => setTitle(event.target.value)} />
        </Field>
        <Field
          label="Interchangeable"
          className="w-96"
          error={missing && either === '' ? 'Say whether either can be used where the other is called for.' : undefined}
        >
          <Select value={either} placeholder="Choose" options={interchange} onChange={setEither} />
        </Field>
      </div>
      <div className="flex flex-wrap gap-x-6">
        {(['lines', 'data'] as const).map((what) => (
          <label key={what} className="flex min-h-7 items-center gap-2">
            <input
              type="checkbox"
              checked={along[what]}
              onChange={(event) => setAlong({ ...along, [what]: event.target.checked })}
            />
            {what === 'lines' ? 'Its lines go along' : 'Cost, lead time, supplier, mass and material go along'}
          </label>
        ))}
      </div>
      <Loading query={page}>
        {() =>
          documents.length > 0 && (
            <ul aria-label="Drawings and documents" className="space-y-1">
              {documents.map(({ item: document }) => (
                <li key={document.number} className="flex items-center gap-3">
                  <span className="w-56 shrink-0">
                    <Select
                      aria-label={`What becomes of ${document.number}`}
                      value={wayOf(document)}
                      options={ways}
                      onChange={(way) => setHow({ ...how, [document.number]: way })}
                    />
                  </span>
                  <span className="font-mono text-sm">{document.number}</span> {document.title}
                </li>
              ))}
            </ul>
          )
        }
      </Loading>
      <ProblemNotice problem={problem} shown={['title']} />
      <div className="flex gap-2">
        <Button type="submit" look="main" busy={busy}>
          Give a new number
        </Button>
        <Button look="quiet" onClick={onCancel}>
          Cancel
        </Button>
      </div>
    </form>
  );
}
