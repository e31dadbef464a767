import { useState } from 'react';
import { api, told, type Schemas } from '../lib/api';
import { moment } from '../lib/format';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { Button } from '../ui/Button';
import { Field } from '../ui/Field';
import { TextArea } from '../ui/Input';
import { FilesToSay, saidBody } from '../ui/FilesToSay';
import { ProblemNotice } from '../ui/Notice';
import { Person } from '../ui/Person';
import { SaidFiles } from '../ui/SaidFiles';

/** What was said on a task, the first at the top. */
export function TaskComments({ page }: { page: Schemas['TaskPage'] }) {
  const { number } = page.task;
  const [text, setText] = useState('');
  const [files, setFiles] = useState<File[]>([]);
  const say = useAct(
    touches.task,
    () =>
      told(api.POST('/api/tasks/{number}/comments', { params: { path: { number } }, ...saidBody({ text }, files) })),
    () => {
      setText('');
      setFiles([]);
    },
  );
  return (
    <section aria-labelledby="comments">
      <h2 id="comments" className="mb-1">
        Comments
      </h2>
      <ul className="border-y border-strong bg-sheet empty:hidden">
        {page.comments.map((comment) => (
          <li key={comment.id} className="border-b border-rule px-2 py-1.5 last:border-b-0">
            <p className="text-sm text-soft">
              <Person name={comment.by} />, {moment(comment.at)}
            </p>
            <p className="whitespace-pre-line">{comment.text}</p>
            <SaidFiles files={comment.files} />
          </li>
        ))}
      </ul>
      {page.may.includes('comment') && (
        <form
          aria-label="Comment"
          className="no-print mt-2 max-w-2xl space-y-2"
          onSubmit={(event) => {
            event.preventDefault();
            say.mutate(undefined);
          }}
        >
          <Field label="Comment" error={say.error?.at('text')}>
            <TextArea rows={2} value={text} onChange={(event) => setText(event.target.value)} />
          </Field>
          <FilesToSay files={files} onChange={setFiles} error={(at) => say.error?.at(`files.${at}`)} />
          <ProblemNotice problem={say.error} shown={['text', ...files.map((_, at) => `files.${at}`)]} />
          <Button type="submit" busy={say.isPending}>
            Add comment
          </Button>
        </form>
      )}
    </section>
  );
}
