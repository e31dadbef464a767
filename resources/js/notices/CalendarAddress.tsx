import { useQuery } from '@tanstack/react-query';
import { api, told } from '../lib/api';
import { moment } from '../lib/format';
import { queries } from '../lib/queries';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { Button } from '../ui/Button';
import { Field } from '../ui/Field';
import { Input } from '../ui/Input';
import { ProblemNotice } from '../ui/Notice';

/** The private address at which a calendar program reads one's days; it is told once, and can be withdrawn. */
export function CalendarAddress() {
  const calendar = useQuery(queries.calendar());
  const make = useAct(touches.calendar, () => told(api.POST('/api/calendar')));
  const withdraw = useAct(
    touches.calendar,
    () => told(api.DELETE('/api/calendar')),
    () => make.reset(),
  );
  const made = calendar.data?.made_at ?? null;
  const address = make.data?.address ?? null;
  return (
    <div className="max-w-2xl space-y-3">
      <p>
        Tasks and questions that are due, and when your orders become effective, in your own calendar. Whoever has the
        address sees them.
      </p>
      {address !== null && (
        <Field label="Address, shown this once">
          <Input readOnly value={address} onFocus={(event) => event.target.select()} />
        </Field>
      )}
      {made !== null && address === null && <p className="text-soft">An address was made on {moment(made)}.</p>}
      <p className="flex gap-2">
        <Button busy={make.isPending} onClick={() => make.mutate(undefined)}>
          {made === null ? 'Create address' : 'Replace address'}
        </Button>
        {made !== null && (
          <Button busy={withdraw.isPending} onClick={() => withdraw.mutate(undefined)}>
            Withdraw address
          </Button>
        )}
      </p>
      <ProblemNotice problem={make.error ?? withdraw.error} />
    </div>
  );
}
