import { api, told, type Schemas } from '../lib/api';
import { useMe } from '../lib/session';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { useDraft } from '../lib/useDraft';
import { Button } from '../ui/Button';
import { Field } from '../ui/Field';
import { TextArea } from '../ui/Input';
import { Notice, ProblemNotice } from '../ui/Notice';

/** Answers what a request was sent back for; only whoever raised it can. */
export function AnswerForm({ request }: { request: Schemas['RequestData'] }) {
  const me = useMe();
  const draft = useDraft(`answer ${request.number}`, { answer: '' });
  const answer = useAct(
    touches.request,
    () =>
      told(
        api.POST('/api/requests/{number}/answer', {
          params: { path: { number: request.number } },
          body: { answer: draft.value.answer, version: request.version },
        }),
      ),
    draft.clear,
  );
  if (me.login !== request.raised_by_login) return <Notice>{request.raised_by} answers what was asked.</Notice>;
  return (
    <form
      className="max-w-3xl space-y-2"
      onSubmit={(event) => {
        event.preventDefault();
        answer.mutate(undefined);
      }}
    >
      <Field label="Your answer" error={answer.error?.at('answer')}>
        <TextArea value={draft.value.answer} onChange={(event) => draft.change({ answer: event.target.value })} />
      </Field>
      <ProblemNotice problem={answer.error} shown={['answer']} />
      <Button type="submit" look="main" busy={answer.isPending}>
        Send answer
      </Button>
    </form>
  );
}
