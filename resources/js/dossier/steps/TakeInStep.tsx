import type { Schemas } from '../../lib/api';
import { itemColumns } from '../../structures/itemColumns';
import { DataTable } from '../../ui/DataTable';
import { reportColumns } from '../../problems/reportColumns';
import { Notice } from '../../ui/Notice';
import { Attachments } from '../../attachments/Attachments';
import { References } from '../../attachments/References';
import { RequestFacts } from '../../requests/RequestFacts';
import { GatherRequests } from '../../requests/GatherRequests';
import { AnswerForm } from '../../requests/AnswerForm';
import { ChangeNumber } from '../../ui/Num';

/** What was asked for, by whom and why. */
export function TakeInStep({ dossier }: { dossier: Schemas['Dossier'] }) {
  if (dossier.requests.length === 0)
    return (
      <>
        <p className="text-soft">The order was raised directly, without a request.</p>
        <p className="max-w-3xl whitespace-pre-line">{dossier.order?.description}</p>
      </>
    );
  return (
    <div className="space-y-5">
      {dossier.requests.map((request) => (
        <div key={request.number} className="space-y-2">
          <h3>
            <ChangeNumber number={request.number} /> {request.title}
          </h3>
          <RequestFacts request={request} />
          {request.gathered_into !== null && (
            <Notice>
              Gathered into <ChangeNumber number={request.gathered_into} />, which carries all it says.
            </Notice>
          )}
          <p className="max-w-3xl whitespace-pre-line">{request.description}</p>
          {request.state === 'returned' && <AnswerForm request={request} />}
          <DataTable
            label={`Affected items of ${request.number}`}
            rows={request.items}
            columns={itemColumns.slice(0, 5)}
            keyOf={(item) => item.number}
            empty="No item is named."
          />
          <Linked request={request} />
          <Attachments
            to={{ request: request.number }}
            files={request.files}
            open={!['rejected', 'gathered'].includes(request.state)}
          />
          <References of={request.number} />
          <GatherRequests request={request} />
        </div>
      ))}
    </div>
  );
}

/** The reports and requests that it came from, and those that came from it. */
function Linked({ request }: { request: Schemas['RequestData'] }) {
  const of = (label: string, numbers: string[]) =>
    numbers.length > 0 && (
      <p className="flex gap-2">
        {label}
        {numbers.map((number) => (
          <ChangeNumber key={number} number={number} />
        ))}
      </p>
    );
  return (
    <>
      {request.reports.length > 0 && (
        <DataTable
          label={`Reports that ${request.number} answers`}
          rows={request.reports}
          columns={reportColumns.filter(({ id }) => id !== 'requests')}
          keyOf={(report) => report.number}
          empty=""
        />
      )}
      {of(
        'Gathered into it:',
        request.gathered.map(({ number }) => number),
      )}
      {of('Split from', request.split_from === null ? [] : [request.split_from])}
      {of('Split off it:', request.split_off)}
    </>
  );
}
