import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api, told, type Schemas } from '../lib/api';
import { useMay } from '../lib/session';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { Button } from '../ui/Button';
import { ChosenChange } from '../ui/ChosenChange';
import { Details } from '../ui/Details';
import { Field } from '../ui/Field';
import { Input } from '../ui/Input';
import { ProblemNotice } from '../ui/Notice';

type Request = Schemas['RequestData'];

/** Gathers another request into this one, splits part of it off, or takes it out of the one it is gathered into. */
export function GatherRequests({ request }: { request: Request }) {
  const mayAssess = useMay('assess_request');
  if (!mayAssess) return null;
  if (request.state === 'gathered') return <Apart request={request} />;
  if (request.state !== 'raised' && request.state !== 'assessing') return null;
  return (
    <Details className="no-print" summary="Gather with another request, or split">
      <div className="mt-2 grid max-w-5xl gap-8 md:grid-cols-2">
        <Gather request={request} />
        {request.items.length > 1 && <Split request={request} />}
      </div>
    </Details>
  );
}

function Gather({ request }: { request: Request }) {
  const [other, setOther] = useState<Schemas['ChangeRow'] | null>(null);
  const gather = useAct(
    touches.request,
    () =>
      told(
        api.POST('/api/requests/{number}/gathering', {
          params: { path: { number: request.number } },
          body: { requests: other === null ? [] : [other.number], version: request.version },
        }),
      ),
    () => setOther(null),
  );
  return (
    <section aria-label="Gather" className="space-y-2">
      <h3>Request to gather into {request.number}</h3>
      <p className="text-sm text-soft">
        Its items, reports, files and text are carried along; it can be removed again.
      </p>
      <ChosenChange
        label={`Request to gather into ${request.number}`}
        types={['request']}
        fits={(one) => one.number !== request.number && one.state !== 'approved'}
        chosen={other}
        onChoose={setOther}
        error={gather.error?.at('requests')}
      />
      <ProblemNotice problem={gather.error} shown={['requests']} />
      <Button disabled={other === null} busy={gather.isPending} onClick={() => gather.mutate(undefined)}>
        Gather
      </Button>
    </section>
  );
}

function Split({ request }: { request: Request }) {
  const navigate = useNavigate();
  const [title, setTitle] = useState('');
  const [items, setItems] = useState<string[]>([]);
  const [reports, setReports] = useState<string[]>([]);
  const split = useAct(
    touches.request,
    () =>
      told(
        api.POST('/api/requests/{number}/split', {
          params: { path: { number: request.number } },
          body: { title, items, reports, version: request.version },
        }),
      ),
    (made) => void navigate(`/changes/${made.number}`),
  );
  const box = (number: string, chosen: string[], choose: (numbers: string[]) => void) => (
    <label key={number} className="mr-4 inline-flex items-center gap-1.5 font-mono text-sm">
      <input
        type="checkbox"
        checked={chosen.includes(number)}
        onChange={(event) =>
          choose(event.target.checked ? [...chosen, number] : chosen.filter((one) => one !== number))
        }
      />
      {number}
    </label>
  );
  return (
    <section aria-label="Split" className="space-y-2">
      <Field label="Title of the new request" error={split.error?.at('title')}>
        <Input value={title} onChange={(event) => setTitle(event.target.value)} />
      </Field>
      <fieldset>
        <legend className="text-sm font-medium text-soft">Items that move to it</legend>
        {request.items.map(({ number }) => box(number, items, setItems))}
        {split.error?.at('items') && <p className="text-sm text-alarm">▸ {split.error.at('items')}</p>}
      </fieldset>
      {request.reports.length > 0 && (
        <fieldset>
          <legend className="text-sm font-medium text-soft">Reports that move to it</legend>
          {request.reports.map(({ number }) => box(number, reports, setReports))}
        </fieldset>
      )}
      <ProblemNotice problem={split.error} shown={['title', 'items']} />
      <Button busy={split.isPending} onClick={() => split.mutate(undefined)}>
        Split
      </Button>
    </section>
  );
}

function Apart({ request }: { request: Request }) {
  const apart = useAct(touches.request, () =>
    told(
      api.POST('/api/requests/{number}/apart', {
        params: { path: { number: request.number } },
        body: { version: request.version },
      }),
    ),
  );
  return (
    <div className="space-y-2">
      <ProblemNotice problem={apart.error} />
      <Button busy={apart.isPending} onClick={() => apart.mutate(undefined)}>
        Remove from the request
      </Button>
    </div>
  );
}
