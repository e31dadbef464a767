import { useQuery } from '@tanstack/react-query';
import { api, told, type Schemas } from '../lib/api';
import { amount, day, moment } from '../lib/format';
import { queries } from '../lib/queries';
import { useMay } from '../lib/session';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { topics } from '../lib/words';
import { nameOf } from '../lib/choices';
import { Button } from '../ui/Button';
import { Loading } from '../ui/Loading';
import { ItemNumber } from '../ui/Num';
import { ProblemNotice } from '../ui/Notice';
import { Person } from '../ui/Person';
import { AnswerQuestion } from './AnswerQuestion';
import { Grid } from './Grid';
import { AskQuestion } from './AskQuestion';
import { QuestionActs } from './QuestionActs';

type Question = Schemas['QuestionRow'];

/** What specialists were asked about a request and what they said: as a grid, and one by one. */
export function Questions({ request }: { request: Schemas['RequestData'] }) {
  const asked = useQuery(queries.questions(request.number));
  const mayAsk = useMay('assess_request');
  const open = !['rejected', 'ordered', 'gathered'].includes(request.state);
  return (
    <section aria-label={`Questions to specialists, ${request.number}`} className="space-y-3">
      <h3>Questions to specialists</h3>
      <Loading query={asked}>
        {(page) => (
          <>
            <Grid grid={page.grid} />
            {page.questions.length > 0 && (
              <ul className="border-y border-strong bg-sheet">
                {page.questions.map((question) => (
                  <Row key={question.id} question={question} open={open} mayAsk={mayAsk} />
                ))}
              </ul>
            )}
          </>
        )}
      </Loading>
      {mayAsk && open && <AskQuestion request={request} />}
    </section>
  );
}

function Row({ question, open, mayAsk }: { question: Question; open: boolean; mayAsk: boolean }) {
  const withdraw = useAct(touches.question, () =>
    told(api.DELETE('/api/questions/{id}', { params: { path: { id: String(question.id) } } })),
  );
  const answered = question.state === 'answered' || question.state === 'no_effect';
  return (
    <li className="space-y-1 border-t border-rule px-2 py-1.5 first:border-t-0">
      <div className="flex flex-wrap items-baseline gap-x-3 text-sm text-soft">
        <ItemNumber number={question.item} />
        <span>{nameOf('function', question.function)}</span>
        <span>{topics[question.topic]}</span>
        <span>
          <Person name={question.asked_by} /> asks {question.asked}, by {day(question.due_on)}
          {question.held_by !== null && (
            <>
              ; <Person name={question.held_by} /> has claimed it
            </>
          )}
        </span>
        {question.overdue && <b className="font-semibold text-alarm">▲ overdue</b>}
        {question.state === 'withdrawn' && <span>withdrawn</span>}
        {mayAsk && open && question.state === 'waiting' && (
          <Button
            look="quiet"
            className="!h-5 !px-0"
            aria-label={`Withdraw the question about ${question.item}`}
            onClick={() => withdraw.mutate(undefined)}
          >
            Withdraw
          </Button>
        )}
      </div>
      <p className="max-w-3xl whitespace-pre-line">{question.text}</p>
      {answered && (
        <p className="max-w-3xl border-l-2 border-accent pl-2 whitespace-pre-line">
          {question.state === 'no_effect' && <b className="font-semibold">No effect. </b>}
          {question.answer} {question.one_time != null && <span>One time {amount(question.one_time)}. </span>}
          {question.recurring != null && <span>Recurring {amount(question.recurring)} a unit. </span>}
          {question.file && (
            <a
              href={`/api/change-files/${question.file.id}`}
              target="_blank"
              rel="noreferrer"
              className="text-accent underline"
            >
              {question.file.name}
            </a>
          )}
          <span className="block text-sm text-soft">
            <Person name={question.answered_by} />, {moment(question.answered_at)}
          </span>
        </p>
      )}
      <ProblemNotice problem={withdraw.error} />
      {open && question.mine && <AnswerQuestion question={question} />}
      {open && <QuestionActs question={question} />}
    </li>
  );
}
