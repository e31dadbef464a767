import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, told, type Schemas } from '../lib/api';
import { today } from '../lib/format';
import { queries } from '../lib/queries';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { groups, topics } from '../lib/words';
import { offered } from '../lib/choices';
import { Button } from '../ui/Button';
import { DateInput } from '../ui/DateInput';
import { Field } from '../ui/Field';
import { TextArea } from '../ui/Input';
import { ProblemNotice } from '../ui/Notice';
import { Select } from '../ui/Select';

type Body = Schemas['NewQuestion'];

/** Asks one person or one group one thing about one or more of the affected items. */
export function AskQuestion({ request }: { request: Schemas['RequestData'] }) {
  const people = useQuery(queries.people());
  const [open, setOpen] = useState(false);
  const [items, setItems] = useState<string[]>(request.items.slice(0, 1).map(({ number }) => number));
  const [topic, setTopic] = useState<Body['topic']>('feasible');
  const [by, setBy] = useState('');
  const [to, setTo] = useState('');
  const [text, setText] = useState<string>(topics.feasible);
  const [due, setDue] = useState('');
  const ask = useAct(
    touches.question,
    () =>
      told(
        api.POST('/api/requests/{number}/questions', {
          params: { path: { number: request.number } },
          body: { items, topic, function: by, to, text, due_on: due },
        }),
      ),
    () => {
      setText(topics[topic]);
      setOpen(false);
    },
  );
  const error = (place: string) => ask.error?.at(place);
  if (!open) return <Button onClick={() => setOpen(true)}>Ask a question</Button>;
  return (
    <form
      aria-label="Ask a question"
      className="no-print max-w-5xl space-y-3 border border-rule bg-sheet p-3"
      onSubmit={(event) => {
        event.preventDefault();
        ask.mutate(undefined);
      }}
    >
      <fieldset>
        <legend className="text-sm font-medium text-soft">About</legend>
        {request.items.map(({ number, title }) => (
          <label key={number} className="mr-4 inline-flex items-center gap-1.5">
            <input
              type="checkbox"
              checked={items.includes(number)}
              onChange={(event) =>
                setItems(event.target.checked ? [...items, number] : items.filter((one) => one !== number))
              }
            />
            <span className="font-mono text-sm">{number}</span> {title}
          </label>
        ))}
        {error('items') && <p className="text-sm text-alarm">▸ {error('items')}</p>}
      </fieldset>
      <div className="grid gap-3 md:grid-cols-4">
        <Field label="Function" error={error('function')}>
          <Select value={by} onChange={setBy} options={offered('function')} />
        </Field>
        <Field label="To" error={error('to')}>
          <Select
            value={to}
            onChange={setTo}
            options={{
              ...groups,
              ...Object.fromEntries((people.data ?? []).map((person) => [person.login, person.name])),
            }}
          />
        </Field>
        <Field label="What" error={error('topic')}>
          <Select
            value={topic}
            onChange={(next) => {
              if (text === topics[topic]) setText(next === 'other' ? '' : topics[next]);
              setTopic(next);
            }}
            options={topics}
          />
        </Field>
        <Field label="Due" error={error('due_on')}>
          <DateInput value={due} onChange={setDue} min={today()} />
        </Field>
      </div>
      <Field label="Question" error={error('text')}>
        <TextArea rows={2} value={text} onChange={(event) => setText(event.target.value)} />
      </Field>
      <ProblemNotice problem={ask.error} shown={['items', 'function', 'to', 'topic', 'due_on', 'text']} />
      <div className="flex gap-2">
        <Button type="submit" look="main" busy={ask.isPending}>
          Ask
        </Button>
        <Button look="quiet" onClick={() => setOpen(false)}>
          Cancel
        </Button>
      </div>
    </form>
  );
}
