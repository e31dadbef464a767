import type { Schemas } from '../../lib/api';
import { moment } from '../../lib/format';
import { reasons, sites, sources, states } from '../../lib/words';
import { itemColumns } from '../../structures/itemColumns';
import { DataTable } from '../../ui/DataTable';
import { AnswerForm } from '../AnswerForm';
import { Facts } from '../../ui/Facts';
import { ChangeNumber } from '../../ui/Num';

/** What was asked for, by whom and why. */
export function TakeInStep({ dossier }: { dossier: Schemas['Dossier'] }) {
  if (dossier.requests.length === 0)
    return <p className="text-soft">The order was raised directly, without a request.</p>;
  return (
    <div className="space-y-5">
      {dossier.requests.map((request) => (
        <div key={request.number} className="space-y-2">
          <h3>
            <ChangeNumber number={request.number} /> {request.title}
          </h3>
          <Facts
            facts={[
              ['Raised by', request.raised_by],
              ['On', moment(request.raised_at)],
              ['Reason', reasons[request.reason as keyof typeof reasons]],
              ['Source', sources[request.source as keyof typeof sources]],
              ['Site', sites[request.site as keyof typeof sites]],
              ['State', states[request.state]],
            ]}
          />
          <p className="max-w-3xl whitespace-pre-line">{request.description}</p>
          {request.state === 'returned' && <AnswerForm request={request} />}
          <DataTable
            label={`Affected items of ${request.number}`}
            rows={request.items}
            columns={itemColumns.slice(0, 5)}
            keyOf={(item) => item.number}
            empty="No item is named."
          />
        </div>
      ))}
    </div>
  );
}
