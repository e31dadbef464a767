import { useState } from 'react';
import { api, told, type Schemas } from '../lib/api';
import { currency } from '../lib/settings';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { useDraft } from '../lib/useDraft';
import { Button } from '../ui/Button';
import { DecimalInput } from '../ui/DecimalInput';
import { Field } from '../ui/Field';
import { TextArea } from '../ui/Input';
import { ProblemNotice } from '../ui/Notice';
import { OlderDraft } from '../ui/OlderDraft';

/**
 * The answer of whoever is asked: in words, with what it costs and a file where that helps. It may be corrected while the request is
 * open.
 */
export function AnswerQuestion({ question }: { question: Schemas['QuestionRow'] }) {
  const answered = question.state !== 'waiting';
  const [open, setOpen] = useState(!answered);
  const [file, setFile] = useState<File | null>(null);
  const draft = useDraft(
    `question ${question.id}`,
    {
      answer: question.answer,
      one_time: question.one_time ?? '',
      recurring: question.recurring ?? '',
    },
    String(question.version),
  );
  const answer = useAct(
    touches.question,
    (noEffect: boolean) => {
      const body = new FormData();
      Object.entries(draft.value).forEach(([name, value]) => body.append(name, value));
      body.append('no_effect', noEffect ? '1' : '0');
      body.append('seen', String(question.version));
      if (file) body.append('file', file, file.name);
      return told(
        api.POST('/api/questions/{id}/answer', {
          params: { path: { id: String(question.id) } },
          body: { answer: draft.value.answer },
          bodySerializer: () => body,
        }),
      );
    },
    () => {
      draft.clear();
      setOpen(false);
    },
  );
  const error = (place: string) => answer.error?.at(place);
  if (!open)
    return (
      <Button look="quiet" className="!px-0" onClick={() => setOpen(true)}>
        Correct the answer
      </Button>
    );
  return (
    <form
      aria-label={`Answer about ${question.item}`}
      className="no-print grid max-w-5xl gap-3 md:grid-cols-[1fr_9rem_9rem]"
      onSubmit={(event) => {
        event.preventDefault();
        answer.mutate(false);
      }}
    >
      <Field label="Your answer" error={error('answer')}>
        <TextArea
          rows={2}
          value={draft.value.answer}
          onChange={(event) => draft.change({ answer: event.target.value })}
        />
      </Field>
      <OlderDraft
        text={draft.older?.answer}
        onTake={(text) => draft.change({ ...draft.older, answer: text })}
        onDrop={draft.clear}
      />
      <Field label={`One-time cost, ${currency()}`} error={error('one_time')}>
        <DecimalInput value={draft.value.one_time} onChange={(one_time) => draft.change({ one_time })} />
      </Field>
      <Field label={`Recurring cost per unit, ${currency()}`} hint="Negative: a saving" error={error('recurring')}>
        <DecimalInput value={draft.value.recurring} onChange={(recurring) => draft.change({ recurring })} />
      </Field>
      <div className="flex flex-wrap items-center gap-3 md:col-span-3">
        <Button type="submit" look="main" busy={answer.isPending}>
          Answer
        </Button>
        <Button busy={answer.isPending} onClick={() => answer.mutate(true)}>
          No effect
        </Button>
        <label className="text-sm">
          File{' '}
          <input
            type="file"
            accept=".svg,.pdf,.png,.jpg,.jpeg"
            onChange={(event) => setFile(event.target.files?.[0] ?? null)}
          />
        </label>
        {error('file') && <p className="text-sm text-alarm">▸ {error('file')}</p>}
        <ProblemNotice problem={answer.error} shown={['answer', 'one_time', 'recurring', 'file']} />
      </div>
    </form>
  );
}
