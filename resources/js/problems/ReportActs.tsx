import { useState } from 'react';
import { Link } from 'react-router';
import { api, told, type Schemas } from '../lib/api';
import { useMay, useMe } from '../lib/session';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { useDraft } from '../lib/useDraft';
import { Button } from '../ui/Button';
import { ChosenChange } from '../ui/ChosenChange';
import { Field } from '../ui/Field';
import { TextArea } from '../ui/Input';
import { ProblemNotice } from '../ui/Notice';
import { LikelySame } from './LikelySame';

type Page = Schemas['ReportPage'];

/** What can be done about a report, by whom it concerns. */
export function ReportActs({ page }: { page: Page }) {
  const me = useMe();
  const mayAssess = useMay('assess_request');
  const { state } = page.report;
  const open = state === 'open' || state === 'returned';
  return (
    <aside className="no-print space-y-6" aria-label="Actions">
      {state === 'returned' && me.login === page.raised_by_login && <Reply page={page} />}
      {mayAssess && (open || state === 'gathered') && <Gather page={page} />}
      {mayAssess && open && <Say page={page} />}
      {mayAssess && (state === 'answered' || state === 'duplicate') && <Reopen page={page} />}
      {mayAssess && open && <Same page={page} />}
    </aside>
  );
}

const pathOf = (page: Page) => ({ number: page.report.number });

function Gather({ page }: { page: Page }) {
  const [into, setInto] = useState<Schemas['ChangeRow'] | null>(null);
  const link = useAct(touches.report, (request: string) =>
    told(api.PUT('/api/reports/{number}/requests/{request}', { params: { path: { ...pathOf(page), request } } })),
  );
  const takeOff = useAct(touches.report, (request: string) =>
    told(api.DELETE('/api/reports/{number}/requests/{request}', { params: { path: { ...pathOf(page), request } } })),
  );
  return (
    <section aria-label="Link to a request" className="space-y-2">
      <h2 className="text-base">Link to a request</h2>
      {page.report.requests.map((request) => (
        <Button key={request} look="quiet" onClick={() => takeOff.mutate(request)}>
          Remove from {request}
        </Button>
      ))}
      <Link to={`/requests/new?reports=${page.report.number}`} className="block text-accent underline">
        Create a request for it
      </Link>
      <ChosenChange
        label="An open request"
        types={['request']}
        fits={(one) => !page.report.requests.includes(one.number)}
        chosen={into}
        onChoose={setInto}
        error={link.error?.at('request')}
      />
      <Button
        disabled={into === null}
        busy={link.isPending}
        onClick={() => into !== null && link.mutate(into.number, { onSuccess: () => setInto(null) })}
      >
        Link
      </Button>
      <ProblemNotice problem={link.error ?? takeOff.error} shown={['request']} />
    </section>
  );
}

/** Answers it without a request, or sends it back with a question. */
function Say({ page }: { page: Page }) {
  const draft = useDraft(`report answer ${page.report.number}`, { text: '' });
  const body = { text: draft.value.text, version: page.version };
  const params = { path: pathOf(page) };
  const answer = useAct(
    touches.report,
    () => told(api.POST('/api/reports/{number}/answer', { params, body })),
    draft.clear,
  );
  const ask = useAct(
    touches.report,
    () => told(api.POST('/api/reports/{number}/return', { params, body })),
    draft.clear,
  );
  const problem = answer.error ?? ask.error;
  return (
    <section aria-label="Answer or ask" className="space-y-2">
      <Field label="Answer, or question to whoever raised it" error={problem?.at('text')}>
        <TextArea rows={3} value={draft.value.text} onChange={(event) => draft.change({ text: event.target.value })} />
      </Field>
      <ProblemNotice problem={problem} shown={['text']} />
      <div className="flex gap-2">
        <Button busy={answer.isPending} onClick={() => answer.mutate(undefined)}>
          Answer without a request
        </Button>
        <Button busy={ask.isPending} onClick={() => ask.mutate(undefined)}>
          Send back
        </Button>
      </div>
    </section>
  );
}

function Reply({ page }: { page: Page }) {
  const draft = useDraft(`report reply ${page.report.number}`, { text: '' });
  const reply = useAct(
    touches.report,
    () =>
      told(
        api.POST('/api/reports/{number}/reply', {
          params: { path: pathOf(page) },
          body: { text: draft.value.text, version: page.version },
        }),
      ),
    draft.clear,
  );
  return (
    <section aria-label="Reply" className="space-y-2">
      <Field label="Your answer" error={reply.error?.at('text')}>
        <TextArea rows={3} value={draft.value.text} onChange={(event) => draft.change({ text: event.target.value })} />
      </Field>
      <ProblemNotice problem={reply.error} shown={['text']} />
      <Button look="main" busy={reply.isPending} onClick={() => reply.mutate(undefined)}>
        Send answer
      </Button>
    </section>
  );
}

function Same({ page }: { page: Page }) {
  const same = useAct(touches.report, (of: string) =>
    told(
      api.POST('/api/reports/{number}/duplicate', {
        params: { path: pathOf(page) },
        body: { of, version: page.version },
      }),
    ),
  );
  return (
    <div className="space-y-2">
      <LikelySame
        title={page.report.title}
        description={page.description}
        items={page.report.items}
        except={page.report.number}
        onSame={(of) => same.mutate(of)}
      />
      <ProblemNotice problem={same.error} />
    </div>
  );
}

function Reopen({ page }: { page: Page }) {
  const reopen = useAct(touches.report, () =>
    told(
      api.POST('/api/reports/{number}/reopening', { params: { path: pathOf(page) }, body: { version: page.version } }),
    ),
  );
  return (
    <div className="space-y-2">
      <ProblemNotice problem={reopen.error} />
      <Button busy={reopen.isPending} onClick={() => reopen.mutate(undefined)}>
        Reopen
      </Button>
    </div>
  );
}
