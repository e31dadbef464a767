import { useState } from 'react';
import { api, told, type Schemas } from '../lib/api';
import { moment } from '../lib/format';
import { useMay } from '../lib/session';
import { touches } from '../lib/touches';
import { useAct } from '../lib/useAct';
import { Button } from '../ui/Button';
import { DateInput } from '../ui/DateInput';
import { Details } from '../ui/Details';
import { Field } from '../ui/Field';
import { Input } from '../ui/Input';
import { ProblemNotice } from '../ui/Notice';
import { WholeInput } from '../ui/WholeInput';

const nothing = { day: '', time: '', minutes: 60 as number | undefined, place: '' };

/** When the board meets: in the calendars of all who decide, and called off again. */
export function BoardMeetings({ meetings }: { meetings: Schemas['BoardMeetingRow'][] }) {
  const may = useMay('decide_request');
  const [value, setValue] = useState(nothing);
  const change = (some: Partial<typeof nothing>) => setValue({ ...value, ...some });
  const add = useAct(
    touches.meeting,
    () => told(api.POST('/api/meeting/days', { body: { ...value, minutes: value.minutes ?? 0 } })),
    () => setValue(nothing),
  );
  const callOff = useAct(touches.meeting, (id: number) =>
    told(api.DELETE('/api/meeting/days/{id}', { params: { path: { id: String(id) } } })),
  );
  if (meetings.length === 0 && !may) return null;
  const error = (place: string) => add.error?.at(place);
  return (
    <section aria-label="When the board meets" className="space-y-1">
      {meetings.length > 0 && (
        <ul>
          {meetings.map((one, at) => (
            <li key={one.id} className="flex flex-wrap items-baseline gap-x-3">
              <span className={at === 0 ? 'font-semibold' : ''}>{moment(one.starts_at)}</span>
              <span className="text-soft">
                {one.minutes} min{one.place !== '' && `, ${one.place}`}
              </span>
              {may && (
                <Button
                  look="quiet"
                  className="no-print !h-6 !px-1"
                  aria-label={`Call off the meeting of ${moment(one.starts_at)}`}
                  busy={callOff.isPending}
                  onClick={() => callOff.mutate(one.id)}
                >
                  Call off
                </Button>
              )}
            </li>
          ))}
        </ul>
      )}
      <ProblemNotice problem={callOff.error} />
      {may && (
        <Details className="no-print" summary={meetings.length === 0 ? 'Say when the board meets' : 'Another meeting'}>
          <form
            aria-label="New meeting"
            className="mt-1 flex flex-wrap items-start gap-3"
            onSubmit={(event) => {
              event.preventDefault();
              add.mutate(undefined);
            }}
          >
            <Field label="Day" className="w-36" error={error('day')}>
              <DateInput value={value.day} onChange={(day) => change({ day })} />
            </Field>
            <Field label="Time" className="w-24" error={error('time')}>
              <Input
                value={value.time}
                placeholder="14:30"
                onChange={(event) => change({ time: event.target.value.trim() })}
              />
            </Field>
            <Field label="Minutes" className="w-24" error={error('minutes')}>
              <WholeInput value={value.minutes} onChange={(minutes) => change({ minutes })} />
            </Field>
            <Field label="Place" className="w-56" error={error('place')}>
              <Input value={value.place} onChange={(event) => change({ place: event.target.value })} />
            </Field>
            <Button type="submit" className="mt-5.5" busy={add.isPending}>
              Add meeting
            </Button>
          </form>
          <ProblemNotice problem={add.error} shown={['day', 'time', 'minutes', 'place']} />
        </Details>
      )}
    </section>
  );
}
