import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, told } from '../lib/api';
import { count } from '../lib/format';
import { queries } from '../lib/queries';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { ways } from '../lib/words';
import { Button } from '../ui/Button';
import { DateInput } from '../ui/DateInput';
import { Field } from '../ui/Field';
import { Input } from '../ui/Input';
import { ProblemNotice } from '../ui/Notice';
import { Select } from '../ui/Select';
import type { OldDocument } from './documentColumns';

interface Props {
  order: string;
  rows: OldDocument[];
  onDone: () => void;
}

/** What is done about some documents, by whom and by when. What is left empty stays as it is. */
export function DecideForm({ order, rows, onDone }: Props) {
  const people = useQuery(queries.people());
  const [way, setWay] = useState<keyof typeof ways | '-'>('-');
  const [owner, setOwner] = useState('-');
  const [due, setDue] = useState('');
  const [note, setNote] = useState('');
  const decide = useAct(
    touches.oldDocument,
    () =>
      told(
        api.POST('/api/orders/{number}/old-documents/decision', {
          params: { path: { number: order } },
          body: {
            ids: rows.map(({ id }) => id),
            ...(way !== '-' && { way }),
            ...(owner !== '-' && { owner }),
            ...(due !== '' && { due_on: due }),
            ...(note !== '' && { note }),
          },
        }),
      ),
    onDone,
  );
  return (
    <form
      aria-label="Decide on documents"
      className="no-print space-y-3 border-y border-strong bg-sheet p-3"
      onSubmit={(event) => {
        event.preventDefault();
        decide.mutate(undefined);
      }}
    >
      <h2>{rows.length === 1 ? rows[0]?.document : `${count(rows.length)} documents`}</h2>
      <div className="grid max-w-4xl gap-3 md:grid-cols-3">
        <Field label="Decision" error={decide.error?.at('way')}>
          <Select value={way} onChange={setWay} options={{ '-': 'As it is', ...ways }} />
        </Field>
        <Field label="Owner" error={decide.error?.at('owner')}>
          <Select
            value={owner}
            onChange={setOwner}
            options={{
              '-': 'As it is',
              ...Object.fromEntries((people.data ?? []).map(({ login, name }) => [login, name])),
            }}
          />
        </Field>
        <Field label="Seen to by" error={decide.error?.at('due_on')}>
          <DateInput value={due} onChange={setDue} />
        </Field>
      </div>
      <Field
        label={way === 'accept' ? 'Why it is accepted as it is' : 'Note'}
        className="max-w-4xl"
        error={decide.error?.at('note')}
      >
        <Input value={note} onChange={(event) => setNote(event.target.value)} />
      </Field>
      <ProblemNotice problem={decide.error} shown={['way', 'owner', 'due_on', 'note']} />
      <div className="flex gap-2">
        <Button type="submit" look="main" busy={decide.isPending}>
          Save
        </Button>
        <Button look="quiet" onClick={onDone}>
          Cancel
        </Button>
      </div>
    </form>
  );
}
