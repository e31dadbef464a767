import { Link } from 'react-router';
import type { Schemas } from '../../lib/api';
import { moment } from '../../lib/format';
import { states } from '../../lib/words';
import { ExposureView } from '../../planning/ExposureView';
import { WhereUsed } from '../../structures/WhereUsed';
import { Questions } from '../../assessment/Questions';
import { DecisionForm } from '../DecisionForm';

type Request = Schemas['RequestData'];

/** What the change would touch and what is at stake, the finding, and the decision. */
export function AssessStep({ dossier }: { dossier: Schemas['Dossier'] }) {
  const numbers = [...new Set(dossier.requests.flatMap((request) => request.items.map((item) => item.number)))].sort();
  if (dossier.requests.length === 0) return null;
  const open = dossier.order === null;
  const facts = (
    <div className="space-y-5">
      <Reach numbers={numbers} />
      <ExposureView items={numbers} />
    </div>
  );
  return (
    <div className="space-y-5">
      {open ? (
        facts
      ) : (
        <details>
          <summary className="cursor-pointer text-accent">Where it is used, and exposure</summary>
          <div className="mt-2">{facts}</div>
        </details>
      )}
      {dossier.requests.map((request) => (
        <Questions key={`asked ${request.number}`} request={request} />
      ))}
      {dossier.requests.map((request) => (
        <p key={`cut-in ${request.number}`}>
          <Link to={`/changes/${request.number}/reach`} className="mr-6 text-accent hover:underline">
            All that it reaches{dossier.requests.length > 1 ? `, ${request.number}` : ''}
          </Link>
          <Link to={`/changes/${request.number}/money`} className="mr-6 text-accent hover:underline">
            Dispositions and money{dossier.requests.length > 1 ? `, ${request.number}` : ''}
          </Link>
          <Link to={`/changes/${request.number}/decision`} className="mr-6 text-accent hover:underline">
            Page for the decision{dossier.requests.length > 1 ? `, ${request.number}` : ''}
          </Link>
          <Link to={`/changes/${request.number}/cut-in`} className="text-accent hover:underline">
            Plan the day to cut in{dossier.requests.length > 1 ? `, ${request.number}` : ''}
          </Link>
        </p>
      ))}
      {dossier.requests.map((request) => (
        <Outcome key={request.number} request={request} several={dossier.requests.length > 1} />
      ))}
    </div>
  );
}

function Outcome({ request, several }: { request: Request; several: boolean }) {
  return (
    <div className="space-y-2">
      {several && <h3>{request.number}</h3>}
      {request.finding !== '' && (
        <div>
          <h3>Finding</h3>
          <p className="max-w-3xl whitespace-pre-line">{request.finding}</p>
        </div>
      )}
      {request.decided_at !== null && request.state !== 'assessing' && (
        <div>
          <h3>Decision</h3>
          <p className="max-w-3xl">
            <b className="font-semibold">{states[request.state === 'ordered' ? 'approved' : request.state]}</b> by{' '}
            {request.decided_by}, {moment(request.decided_at)}: {request.decision_reason}
          </p>
        </div>
      )}
      {['raised', 'assessing', 'returned'].includes(request.state) && <DecisionForm request={request} />}
    </div>
  );
}

/** Where each affected item is used, side by side. */
function Reach({ numbers }: { numbers: string[] }) {
  return (
    <div>
      <div className="grid gap-4 md:grid-cols-2 xl:grid-cols-3">
        {numbers.map((number) => (
          <div key={number}>
            <p className="font-mono text-sm">{number}</p>
            <WhereUsed number={number} />
          </div>
        ))}
      </div>
    </div>
  );
}
