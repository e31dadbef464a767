import { Link } from 'react-router';
import type { Schemas } from '../../lib/api';
import { moment } from '../../lib/format';
import { states } from '../../lib/words';
import { ExposureView } from '../../planning/ExposureView';
import { WhereUsed } from '../../structures/WhereUsed';
import { Questions } from '../../assessment/Questions';
import { Details } from '../../ui/Details';
import { Person } from '../../ui/Person';
import { Proposal } from '../Proposal';
import { DecisionForm } from '../../requests/DecisionForm';
import { RequestPath } from '../../requests/RequestPath';

type Request = Schemas['RequestData'];

/** What the change would touch and what is at stake, the finding, and the decision. */
export function AssessStep({ dossier }: { dossier: Schemas['Dossier'] }) {
  const numbers = [...new Set(dossier.requests.flatMap((request) => request.items.map((item) => item.number)))].sort();
  if (dossier.requests.length === 0) return null;
  const open = dossier.order === null;
  return (
    <div className="space-y-5">
      {dossier.requests.map((request) => (
        <Pages key={`pages ${request.number}`} request={request} several={dossier.requests.length > 1} />
      ))}
      {dossier.requests.map((request) => (
        <Questions key={`asked ${request.number}`} request={request} />
      ))}
      {dossier.proposals.map((proposal) => (
        <Proposal key={`proposed ${proposal.request}`} proposal={proposal} />
      ))}
      {open && <ExposureView items={numbers} />}
      <Details summary={open ? 'Where used, by item' : 'Where used, and exposure'}>
        <div className="mt-2 space-y-5">
          <UsedIn numbers={numbers} />
          {!open && <ExposureView items={numbers} />}
        </div>
      </Details>
      {dossier.requests.map((request) => (
        <Outcome
          key={request.number}
          request={request}
          judged={dossier.judged.find((one) => one.request === request.number)}
          several={dossier.requests.length > 1}
        />
      ))}
    </div>
  );
}

/** The pages on which a request is assessed, in the order they are worked through. */
function Pages({ request, several }: { request: Request; several: boolean }) {
  return (
    <nav aria-label={`Assess ${request.number}`} className="flex flex-wrap gap-x-6 gap-y-1">
      {several && <span className="font-mono text-sm">{request.number}</span>}
      {Object.entries({
        reach: 'Reach',
        money: 'Dispositions and cost',
        'cut-in': 'Cut-in',
        forms: 'Forms',
        decision: 'Decision page',
      }).map(([page, name]) => (
        <Link
          key={page}
          to={`/changes/${request.number}/${page}`}
          className="text-accent underline underline-offset-3 hover:no-underline"
        >
          {name}
        </Link>
      ))}
    </nav>
  );
}

interface OutcomeProps {
  request: Request;
  judged: Schemas['JudgedRequest'] | undefined;
  several: boolean;
}

function Outcome({ request, judged, several }: OutcomeProps) {
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
          <p className="max-w-3xl whitespace-pre-line">
            <b className="font-semibold">{states[request.state === 'ordered' ? 'approved' : request.state]}</b> by{' '}
            <Person name={request.decided_by} />, {moment(request.decided_at)}: {request.decision_reason}
          </p>
        </div>
      )}
      {judged && <RequestPath judged={judged} open={request.state === 'assessing'} />}
      {['raised', 'assessing', 'returned'].includes(request.state) && (
        <DecisionForm request={request} {...(judged && { judged })} />
      )}
    </div>
  );
}

/** Where each affected item is used, side by side. */
function UsedIn({ numbers }: { numbers: string[] }) {
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
