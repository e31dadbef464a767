import { useQuery } from '@tanstack/react-query';
import { api, told, type Schemas } from '../lib/api';
import { queries } from '../lib/queries';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { Field } from '../ui/Field';
import { ProblemNotice } from '../ui/Notice';
import { Select } from '../ui/Select';

type Pace = Schemas['PaceRow'];

const heads: Record<Pace['cause'], string> = {
  to_do: 'A change or a task needs me',
  mentioned: 'A comment mentions me',
  informed: 'A change notice is sent to me',
  takes_part: 'A change that I take part in',
  watches: 'A change that I watch',
};

const paces: Record<Pace['pace'], string> = {
  at_once: 'At once',
  hourly: 'Together, every hour',
  daily: 'Together, in the morning',
  never: 'No mail',
};

/** How soon the person who is signed in wants a mail; in the product every notice stands at once. */
export function Paces() {
  const list = useQuery(queries.noticePaces());
  const set = useAct(touches.noticePace, (body: Pace) => told(api.PUT('/api/notices/paces', { body })));
  return (
    <div className="max-w-md space-y-3">
      {list.data?.map(({ cause, pace }) => (
        <Field key={cause} label={heads[cause]}>
          <Select value={pace} onChange={(next) => set.mutate({ cause, pace: next })} options={paces} />
        </Field>
      ))}
      <ProblemNotice problem={set.error ?? null} />
    </div>
  );
}
