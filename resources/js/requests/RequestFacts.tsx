import type { Schemas } from '../lib/api';
import { nameOf } from '../lib/choices';
import { moment } from '../lib/format';
import { states } from '../lib/words';
import { Facts } from '../ui/Facts';
import { Person } from '../ui/Person';

/** Who asked for it, when, why and from where. */
export function RequestFacts({ request }: { request: Schemas['RequestData'] }) {
  return (
    <Facts
      facts={[
        ['Raised by', <Person key="by" name={request.raised_by} />],
        ['On', moment(request.raised_at)],
        ['Reason', nameOf('reason', request.reason)],
        ['Source', nameOf('source', request.source)],
        ['Site', nameOf('site', request.site)],
        ['State', states[request.state]],
      ]}
    />
  );
}
