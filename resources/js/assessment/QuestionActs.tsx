import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, told, type Schemas } from '../lib/api';
import { queries } from '../lib/queries';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { Button } from '../ui/Button';
import { Field } from '../ui/Field';
import { TextArea } from '../ui/Input';
import { ProblemNotice } from '../ui/Notice';
import { Select } from '../ui/Select';

type Said = 'hand_on' | 'hand_back';

const words: Record<Said, string> = { hand_on: 'Hand on', hand_back: 'Hand back' };

/** A question is a task of its kind: who is asked claims it, gives it back, or hands it on. */
export function QuestionActs({ question }: { question: Schemas['QuestionRow'] }) {
  const [open, setOpen] = useState<Said | null>(null);
  const [text, setText] = useState('');
  const [to, setTo] = useState('');
  const people = useQuery({ ...queries.people(), enabled: open === 'hand_on' }).data ?? [];
  const at = { params: { path: { id: String(question.id) } } };
  const claim = useAct(touches.question, () => told(api.POST('/api/questions/{id}/claim', at)));
  const hand = useAct(
    touches.question,
    (how: Said) =>
      told(
        how === 'hand_on'
          ? api.POST('/api/questions/{id}/hand-on', { ...at, body: { text, to } })
          : api.POST('/api/questions/{id}/hand-back', { ...at, body: { text } }),
      ),
    () => {
      setOpen(null);
      setText('');
    },
  );
  if (question.may.length === 0) return null;
  const offered = question.may.filter((one): one is Said => one !== 'claim');
  return (
    <div className="no-print space-y-2">
      <div className="flex flex-wrap items-center gap-4">
        {question.may.includes('claim') && (
          <Button busy={claim.isPending} onClick={() => claim.mutate(undefined)}>
            Claim
          </Button>
        )}
        {offered.map((one) => (
          <Button
            key={one}
            look="quiet"
            className="!h-6 !px-0"
            aria-expanded={open === one}
            onClick={() => {
              hand.reset();
              setOpen(open === one ? null : one);
            }}
          >
            {words[one]}
          </Button>
        ))}
      </div>
      <ProblemNotice problem={claim.error} />
      {open !== null && (
        <form
          aria-label={`${words[open]} the question about ${question.item}`}
          className="max-w-2xl space-y-2 border-y border-strong p-3"
          onSubmit={(event) => {
            event.preventDefault();
            hand.mutate(open);
          }}
        >
          {open === 'hand_on' && (
            <Field label="To" error={hand.error?.at('to')}>
              <Select
                value={to}
                onChange={setTo}
                options={Object.fromEntries(people.map((one) => [one.login, `${one.name}, ${one.roles.join(', ')}`]))}
              />
            </Field>
          )}
          <Field label="Reason" error={hand.error?.at('text')}>
            <TextArea rows={2} value={text} onChange={(event) => setText(event.target.value)} />
          </Field>
          <ProblemNotice problem={hand.error} shown={['to', 'text']} />
          <Button type="submit" busy={hand.isPending} disabled={open === 'hand_on' && to === ''}>
            {words[open]}
          </Button>
        </form>
      )}
    </div>
  );
}
