import { useQuery } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { api, told } from '../lib/api';
import { queries } from '../lib/queries';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { useDraft } from '../lib/useDraft';
import { Button } from '../ui/Button';
import { Field } from '../ui/Field';
import { TextArea } from '../ui/Input';
import { FilesToSay, saidBody } from '../ui/FilesToSay';
import { ProblemNotice } from '../ui/Notice';
import { mentionAt, mentioned } from './mention';

/** A line of an order that something is said of. */
export interface OfLine {
  item: string;
  work: string;
  line: string;
  /** As people call it. */
  called: string;
}

/** People who are offered while a name is typed. */
const OFFERED = 6;

interface Props {
  number: string;
  /** The line of the order that it is said of. */
  of?: OfLine | undefined;
}

/** Says something; whoever is named with @ is told of it. What is typed stays when the page is left. */
export function CommentForm({ number, of }: Props) {
  const draft = useDraft<{ text: string }>(`comment on ${number}${of === undefined ? '' : ` ${of.line}`}`, {
    text: '',
  });
  const [files, setFiles] = useState<File[]>([]);
  const { text } = draft.value;
  const area = useRef<HTMLTextAreaElement>(null);
  const [cursor, setCursor] = useState(0);
  const people = useQuery(queries.people()).data ?? [];
  const typed = mentionAt(text, cursor)?.toLowerCase() ?? null;
  const offered =
    typed === null
      ? []
      : people
          .filter((one) => one.login.startsWith(typed) || one.name.toLowerCase().includes(typed))
          .filter((one) => one.login !== typed)
          .slice(0, OFFERED);
  const say = useAct(
    touches.discussion,
    () =>
      told(
        api.POST('/api/discussions/{number}', {
          params: { path: { number } },
          ...saidBody({ text, ...(of === undefined ? {} : { item: of.item, work: of.work, line: of.line }) }, files),
        }),
      ),
    () => {
      draft.change({ text: '' });
      setFiles([]);
    },
  );
  const choose = (login: string) => {
    const next = mentioned(text, cursor, login);
    draft.change({ text: next.text });
    setCursor(next.cursor);
    // Where it goes on being typed.
    requestAnimationFrame(() => {
      area.current?.focus();
      area.current?.setSelectionRange(next.cursor, next.cursor);
    });
  };
  return (
    <form
      aria-label="New comment"
      className="no-print mt-2 max-w-2xl space-y-2"
      onSubmit={(event) => {
        event.preventDefault();
        say.mutate(undefined);
      }}
    >
      <Field
        label={of === undefined ? 'Comment (@ tells a person)' : `Comment on ${of.called} (@ tells a person)`}
        error={say.error?.at('text')}
      >
        <TextArea
          ref={area}
          rows={2}
          value={text}
          onChange={(event) => {
            draft.change({ text: event.target.value });
            setCursor(event.target.selectionStart);
          }}
          onSelect={(event) => setCursor(event.currentTarget.selectionStart)}
        />
      </Field>
      {offered.length > 0 && (
        <p className="flex flex-wrap gap-2" role="group" aria-label="People to mention">
          {offered.map((one) => (
            <Button key={one.login} className="!h-7" onClick={() => choose(one.login)}>
              {one.name}
            </Button>
          ))}
        </p>
      )}
      <FilesToSay files={files} onChange={setFiles} error={(at) => say.error?.at(`files.${at}`)} />
      <ProblemNotice problem={say.error} shown={['text', ...files.map((_, at) => `files.${at}`)]} />
      <Button type="submit" busy={say.isPending}>
        Add comment
      </Button>
    </form>
  );
}
